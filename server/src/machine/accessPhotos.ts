import { Injectable } from '@nestjs/common';
import type { AccessPhotoDto, UpdateAccessPhotoDto } from '@yugator/contracts';
import { cardAccesses } from '@yugator/core';
import { v7 as uuid } from 'uuid';
import { UnitOfWork } from '../database/unitOfWork.js';
import { AccessPhoto, Machine } from '../models/machine.model.js';
import { Person } from '../models/person.model.js';
import { Photos } from '../photo/photos.js';
import { fault, fieldProblem, notFound, Problem } from '../problem/problem.js';
import { storedCardOrEmpty } from './storedCard.js';

/** The photos of what has to be opened on a machine. */
export async function accessPhotosOf(machineId: string): Promise<AccessPhotoDto[]> {
  const rows = await AccessPhoto.findAll({
    where: { machineId },
    attributes: ['access', 'revision'],
    order: ['access'],
  });
  return rows.map(({ access, revision }) => ({
    access,
    path: `/api/machines/${machineId}/access-photos/${revision}`,
  }));
}

/** Those of lines that were renamed since stay behind: a card has 60 lines at most. */
const MOST_OF_A_MACHINE = 120;

/** Photos of how a machine is opened. */
@Injectable()
export class AccessPhotos {
  constructor(
    private readonly work: UnitOfWork,
    private readonly photos: Photos,
  ) {}

  /** Keeps a photo of something that the card wants opened, or takes it away. */
  async update(machineId: string, { access, jpeg }: UpdateAccessPhotoDto, caller: Person): Promise<void> {
    const [bytes] = jpeg === null ? [] : await this.photos.clean([{ base64: jpeg, pointer: '/jpeg' }]);
    await this.work.run(async () => {
      const machine = await Machine.findByPk(machineId, { lock: true });
      if (!machine) throw notFound('machine');
      if (!bytes) {
        await AccessPhoto.destroy({ where: { machineId, access } });
      } else {
        const known = cardAccesses(storedCardOrEmpty(machine.spec)).some(({ name }) => name === access);
        if (!known) {
          const detail = 'The card names nothing like that to be opened. Save the card first.';
          throw fieldProblem(fault('/access', 'unknown', detail));
        }
        if ((await AccessPhoto.count({ where: { machineId } })) >= MOST_OF_A_MACHINE)
          throw new Problem(409, 'Enough photos', 'This machine has photos enough. Take one away first.');
        await this.photos.count(1, caller);
        await AccessPhoto.upsert({ machineId, access, bytes, revision: uuid() });
      }
      this.work.changed('machines', 'jobs');
    });
  }
}
