import { Injectable } from '@nestjs/common';
import type { AddJobPhotoDto, JobDto } from '@yugator/contracts';
import { v7 as uuid } from 'uuid';
import { UnitOfWork } from '../database/unitOfWork.js';
import { Person } from '../models/person.model.js';
import { Photos } from '../photo/photos.js';
import { notFound, Problem } from '../problem/problem.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { Job, JobPhoto } from '../models/job.model.js';
import { JobSheets } from './jobSheets.js';

const MOST_PHOTOS = 20;

/** Photos of jobs: what was found, and how it looks now. They can be added after the sign-off too. */
@Injectable()
export class JobPhotos {
  constructor(
    private readonly work: UnitOfWork,
    private readonly calendar: SiteCalendar,
    private readonly sheets: JobSheets,
    private readonly photos: Photos,
  ) {}

  async add(jobId: string, { jpeg, caption }: AddJobPhotoDto, caller: Person): Promise<JobDto> {
    const [bytes] = await this.photos.clean([{ base64: jpeg, pointer: '/jpeg' }]);
    if (!bytes) throw new Error('A photo was neither cleaned nor refused.');
    const { now } = await this.calendar.read();
    return this.work.run(async () => {
      const job = await Job.findByPk(jobId, { lock: true });
      if (!job || job.state === 'dropped') throw notFound('job');
      if ((await JobPhoto.count({ where: { jobId } })) >= MOST_PHOTOS) {
        throw new Problem(409, 'Enough photos', `A job keeps ${MOST_PHOTOS} photos at most.`);
      }
      await this.photos.count(1, caller);
      await JobPhoto.create({
        id: uuid(),
        jobId,
        bytes,
        caption,
        takenAt: new Date(now),
        takenById: caller.id,
      });
      this.work.changed('jobs');
      return this.sheets.get(jobId);
    });
  }

  async bytes(jobId: string, id: string): Promise<Buffer> {
    const photo = await JobPhoto.findOne({ where: { id, jobId } });
    if (!photo) throw notFound('photo');
    return photo.bytes;
  }
}
