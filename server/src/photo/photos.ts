import { Injectable } from '@nestjs/common';
import { Person } from '../models/person.model.js';
import { busy, fault, fieldProblem, Problem } from '../problem/problem.js';
import { BoundedQueue } from '../queue/boundedQueue.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { cleanPhoto } from './cleanPhoto.js';
import { PhotoCount } from '../models/photoCount.model.js';

/** More than anybody takes on a day's work, and no more than a disk bears: 200 of some 400 kB. */
const MOST_A_DAY = 200;
const MOST_WAITING = 16;

const crowded = () =>
  busy('Many photos at once', 'Many photos are kept at this moment. Try again in a few seconds.', 3);

/** A photo as it was sent. */
export interface SentPhoto {
  readonly base64: string;
  /** the field that it came in, without the leading `#` */
  readonly pointer: string;
}

/** Photos as they come in: decoded, written anew and counted. */
@Injectable()
export class Photos {
  private readonly queue = new BoundedQueue(1, MOST_WAITING, crowded);

  constructor(private readonly calendar: SiteCalendar) {}

  /** Each photo as a clean JPEG, in order. Throws a {@link Problem} that names each that is no picture. */
  async clean(photos: readonly SentPhoto[]): Promise<Buffer[]> {
    const cleaned: (Buffer | null)[] = [];
    for (const { base64 } of photos)
      cleaned.push(await this.queue.run(() => cleanPhoto(Buffer.from(base64, 'base64'))));
    const faults = photos.flatMap(({ pointer }, index) =>
      cleaned[index]
        ? []
        : [fault(pointer, 'notPicture', 'This is no picture that can be read. Choose a photo.')],
    );
    if (faults.length) throw fieldProblem(...faults);
    return cleaned.filter((bytes) => bytes !== null);
  }

  /** Counts photos of a person inside the running unit of work. Throws a {@link Problem} where it is too many for a day. */
  async count(photos: number, person: Person): Promise<void> {
    if (photos === 0) return;
    const { today } = await this.calendar.read();
    const key = { personId: person.id, takenOn: today };
    await PhotoCount.findOrCreate({ where: key, defaults: { ...key, photos: 0 } });
    await PhotoCount.increment({ photos }, { where: key });
    const kept = await PhotoCount.findOne({ where: key });
    if ((kept?.photos ?? 0) > MOST_A_DAY) {
      throw new Problem(409, 'Enough photos', `Each person keeps ${MOST_A_DAY} photos a day at most.`);
    }
  }
}
