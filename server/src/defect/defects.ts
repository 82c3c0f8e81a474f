import { Injectable } from '@nestjs/common';
import type {
  AddDefectPhotoDto,
  DefectDto,
  DefectSearchDto,
  EstimateDefectDto,
  ReportDefectDto,
  SearchDefectDto,
  VoidDto,
} from '@yugator/contracts';
import { answersAsked, searchNoStart } from '@yugator/core';
import type { CivilDate, SearchAnswers } from '@yugator/core';
import { v7 as uuid } from 'uuid';
import { Item } from '../models/book.model.js';
import { UnitOfWork } from '../database/unitOfWork.js';
import { Machine, StatusChange } from '../models/machine.model.js';
import { Person } from '../models/person.model.js';
import { fault, fieldProblem, notFound, Problem } from '../problem/problem.js';
import { FleetSchedule } from '../schedule/fleetSchedule.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { Defect, DefectPhoto, OPEN_DEFECTS } from '../models/defect.model.js';
import { JobDefect } from '../models/job.model.js';
import { Photos } from '../photo/photos.js';
import { toDefectDtos } from './toDefectDto.js';
import { storedSearches } from './storedSearches.js';

type NewDefect = Pick<Defect, 'machineId' | 'itemId' | 'foundInJobId' | 'foundOn' | 'words' | 'severity'> &
  Partial<Pick<Defect, 'searches'>>;

/** Searches that a defect keeps. */
const MOST_SEARCHES = 20;
const MOST_PHOTOS = 6;

/** A search with its verdict, by whom and when. One that has not come to its end is refused. */
function searchedBy(said: SearchAnswers, pointer: string, caller: Person, on: CivilDate): DefectSearchDto {
  const { verdict } = searchNoStart(said);
  if (verdict === null)
    throw fieldProblem(fault(pointer, 'open', 'Answer on until the search says what to do, then keep it.'));
  return { on, by: caller.name, answers: answersAsked(said), verdict };
}

/** The defects of the fleet. */
@Injectable()
export class Defects {
  constructor(
    private readonly work: UnitOfWork,
    private readonly calendar: SiteCalendar,
    private readonly schedule: FleetSchedule,
    private readonly photos: Photos,
  ) {}

  /** The open defects of a machine, or of all, earliest first. */
  async open(machineId?: string): Promise<DefectDto[]> {
    const rows = await Defect.findAll({
      where: { ...OPEN_DEFECTS, ...(machineId ? { machineId } : {}) },
      include: [Machine, Item],
      order: ['foundOn', 'id'],
    });
    return toDefectDtos(rows, await this.calendar.read());
  }

  /** Whether anything is known to be wrong with a machine. */
  async hasOpen(machineId: string): Promise<boolean> {
    return (await Defect.count({ where: { machineId, ...OPEN_DEFECTS } })) > 0;
  }

  /** Photos as they were sent, each as a clean JPEG in its place; undefined where none was. */
  async cleanPhotos(
    sent: readonly { jpeg: string | undefined; pointer: string }[],
  ): Promise<(Buffer | undefined)[]> {
    const taken = sent.flatMap(({ jpeg, pointer }) =>
      jpeg === undefined ? [] : [{ base64: jpeg, pointer }],
    );
    const clean = await this.photos.clean(taken);
    return sent.map(({ jpeg }) => (jpeg === undefined ? undefined : clean.shift()));
  }

  /** Takes down a defect that somebody saw outside of a job. */
  async report(
    machineId: string,
    fields: ReportDefectDto,
    caller: Person,
    ago: number | null,
  ): Promise<DefectDto[]> {
    const { today } = await this.calendar.read(ago ?? 0);
    const { words, severity, search, jpeg } = fields;
    const [photo] = await this.cleanPhotos([{ jpeg, pointer: '/jpeg' }]);
    return this.work.run(async () => {
      if (!(await Machine.findByPk(machineId, { lock: true }))) throw notFound('machine');
      const searches = search ? [searchedBy(search, '/search', caller, today)] : null;
      const found = { itemId: null, foundInJobId: null, foundOn: today, searches };
      await this.add({ words, severity, machineId, ...found }, caller, photo);
      return this.open(machineId);
    });
  }

  /** Keeps with an open defect why its machine does not start. */
  async search(id: string, { answers }: SearchDefectDto, caller: Person): Promise<DefectDto[]> {
    const { today } = await this.calendar.read();
    return this.work.run(async () => {
      const defect = await Defect.findByPk(id, { lock: true });
      if (!defect || defect.voidedAt) throw notFound('defect');
      if (defect.closedByJobId)
        throw new Problem(409, 'Mended', 'This defect was mended meanwhile. Report it anew if it is back.');
      const before = storedSearches(defect.searches);
      if (before.length >= MOST_SEARCHES)
        throw new Problem(
          409,
          'Searched often',
          'This defect has been searched often enough: it is for a technician.',
        );
      await defect.update({ searches: [...before, searchedBy(answers, '/answers', caller, today)] });
      this.work.changed('jobs', 'machines');
      return this.open(defect.machineId);
    });
  }

  /** Adds a defect inside the running unit of work; one with which the machine is not to be used takes it out of service. */
  async add(fields: NewDefect, caller: Person, photo?: Buffer): Promise<void> {
    const id = uuid();
    await Defect.create({ ...fields, id, reportedById: caller.id });
    if (photo) await this.keepPhoto(id, photo, caller);
    this.work.changed('jobs', 'machines');
    if (fields.severity !== 'stop') return;
    const machine = await Machine.findByPk(fields.machineId);
    if (!machine || machine.status === 'outOfService' || machine.status === 'retired') return;
    const { now } = await this.calendar.read();
    const change = { status: 'outOfService', since: fields.foundOn } as const;
    await machine.update({ status: change.status, statusSince: change.since, version: machine.version + 1 });
    await StatusChange.create({
      ...change,
      id: uuid(),
      machineId: machine.id,
      reason: `Defect: ${fields.words}`.slice(0, 200),
      changedAt: new Date(now),
      changedById: caller.id,
    });
    await this.schedule.touched([machine.id]);
  }

  /** Keeps a photo with a defect, open or not. */
  async addPhoto(id: string, { jpeg }: AddDefectPhotoDto, caller: Person): Promise<DefectDto> {
    const [photo] = await this.cleanPhotos([{ jpeg, pointer: '/jpeg' }]);
    if (!photo) throw new Error('A photo was neither cleaned nor refused.');
    return this.work.run(async () => {
      const defect = await Defect.findByPk(id, { lock: true });
      if (!defect) throw notFound('defect');
      if ((await DefectPhoto.count({ where: { defectId: id } })) >= MOST_PHOTOS)
        throw new Problem(409, 'Enough photos', `A defect keeps ${MOST_PHOTOS} photos at most.`);
      await this.keepPhoto(id, photo, caller);
      this.work.changed('jobs');
      return this.one(id);
    });
  }

  /** Says how long mending an open defect takes: the plan reckons with it. */
  async estimate(id: string, { minutes }: EstimateDefectDto): Promise<DefectDto> {
    return this.work.run(async () => {
      const defect = await this.lockOpen(id);
      await defect.update({ minutes });
      this.work.changed('jobs');
      return this.one(id);
    });
  }

  /** Takes a defect back that was none, with a reason; it stays in the list. */
  async takeBack(id: string, { reason }: VoidDto, caller: Person): Promise<DefectDto> {
    const { now } = await this.calendar.read();
    return this.work.run(async () => {
      const defect = await this.lockOpen(id);
      await defect.update({ voidedAt: new Date(now), voidedById: caller.id, voidReason: reason });
      this.work.changed('jobs', 'machines');
      return this.one(id);
    });
  }

  /** The bytes of a photo of a defect. */
  async photo(defectId: string, id: string): Promise<Buffer> {
    const photo = await DefectPhoto.findOne({ where: { id, defectId } });
    if (!photo) throw notFound('photo');
    return photo.bytes;
  }

  /** Makes writers of a defect wait for each other inside a unit of work; one that has ended is refused. */
  private async lockOpen(id: string): Promise<Defect> {
    const defect = await Defect.findByPk(id, { lock: true });
    if (!defect) throw notFound('defect');
    if (defect.closedByJobId || defect.voidedAt)
      throw new Problem(409, 'Ended before', 'This defect was mended or taken back meanwhile.');
    return defect;
  }

  private async keepPhoto(defectId: string, bytes: Buffer, caller: Person): Promise<void> {
    const { now } = await this.calendar.read();
    await this.photos.count(1, caller);
    await DefectPhoto.create({ id: uuid(), defectId, bytes, takenAt: new Date(now), takenById: caller.id });
  }

  private async one(id: string): Promise<DefectDto> {
    const rows = await Defect.findAll({ where: { id }, include: [Machine, Item] });
    const [defect] = await toDefectDtos(rows, await this.calendar.read());
    if (!defect) throw notFound('defect');
    return defect;
  }

  /** Closes defects of a machine by a job inside the running unit of work. */
  async close(ids: readonly string[], machineId: string, jobId: string): Promise<void> {
    const open = await Defect.findAll({
      where: { id: [...ids], machineId, ...OPEN_DEFECTS },
      lock: true,
    });
    const known = new Set(open.map(({ id }) => id));
    const gone = ids.findIndex((id) => !known.has(id));
    if (gone >= 0) {
      const detail = 'This defect was mended or taken back meanwhile. Take it out and sign off again.';
      throw fieldProblem(fault(`/mendedDefectIds/${gone}`, 'unknown', detail));
    }
    await Defect.update({ closedByJobId: jobId }, { where: { id: [...known] } });
    await JobDefect.bulkCreate(open.map(({ id, words }) => ({ jobId, defectId: id, words })));
  }

  /** Takes back what a voided job found, and opens again what it mended. */
  async undo(jobId: string): Promise<void> {
    const { now } = await this.calendar.read();
    await Defect.update({ voidedAt: new Date(now) }, { where: { foundInJobId: jobId } });
    await Defect.update({ closedByJobId: null }, { where: { closedByJobId: jobId } });
  }
}
