import { randomBytes } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import type { MakeShedDeviceDto, ShedDeviceDto } from '@yugator/contracts';
import { v7 as uuid } from 'uuid';
import { AuditTrail } from '../audit/auditTrail.js';
import { Clock } from '../clock/clock.js';
import { UnitOfWork } from '../database/unitOfWork.js';
import { Person } from '../models/person.model.js';
import { ShedDevice } from '../models/session.model.js';
import { notFound, Problem } from '../problem/problem.js';
import { hashOf } from './sessions.js';

/** A crew has a shed or two; whoever makes more has lost count of them. */
const MOST_DEVICES = 20;

/** Who asks, and from where. */
interface By {
  readonly caller: Person;
  readonly address: string;
}

/** The devices that a shed shares. */
@Injectable()
export class ShedDevices {
  constructor(
    private readonly work: UnitOfWork,
    private readonly clock: Clock,
    private readonly audit: AuditTrail,
  ) {}

  /** The device that holds this cookie; null where it is none of the shed's, or no longer. */
  async of(cookie: string | undefined): Promise<ShedDevice | null> {
    return cookie ? ShedDevice.findOne({ where: { tokenHash: hashOf(cookie) } }) : null;
  }

  /** Makes a device one of the shed's and returns the token for its cookie. */
  async make({ name }: MakeShedDeviceDto, { caller, address }: By): Promise<string> {
    const token = randomBytes(32).toString('base64url');
    await this.work.run(async () => {
      if ((await ShedDevice.count()) >= MOST_DEVICES)
        throw new Problem(409, 'Enough devices', `There are ${MOST_DEVICES} already. End one of them first.`);
      const madeAt = new Date(this.clock.now());
      await ShedDevice.create({ id: uuid(), tokenHash: hashOf(token), name, madeById: caller.id, madeAt });
      await this.audit.note({ act: 'shedDeviceMade', person: caller, subject: name, address });
      this.work.changed('people');
    });
    return token;
  }

  /** All of them, by name; `cookie` tells which of them asks. */
  async list(cookie: string | undefined): Promise<ShedDeviceDto[]> {
    const own = await this.of(cookie);
    const devices = await ShedDevice.findAll({ include: Person, order: ['name', 'id'] });
    return devices.map(({ id, name, madeAt, madeBy }) => ({
      id,
      name,
      madeBy: madeBy?.name ?? '',
      madeAt: madeAt.toISOString(),
      isThis: id === own?.id,
    }));
  }

  /** Ends one: it is an ordinary device again, and whoever is in there is out. */
  async end(id: string, { caller, address }: By): Promise<void> {
    await this.work.run(async () => {
      const device = await ShedDevice.findByPk(id, { lock: true });
      if (!device) throw notFound('device of the shed');
      await device.destroy();
      await this.audit.note({ act: 'shedDeviceEnded', person: caller, subject: device.name, address });
      this.work.changed('people');
    });
  }
}
