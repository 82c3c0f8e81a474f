import { Injectable } from '@nestjs/common';
import { machineSchedule, scheduleContext } from '@yugator/core';
import type { MachineSchedule, ScheduleContext } from '@yugator/core';
import { literal } from 'sequelize';
import { ambient } from '../database/ambient.js';
import { Machine } from '../models/machine.model.js';
import { mapGently } from '../queue/breather.js';
import { Seasons } from '../season/seasons.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { FleetFacts } from './fleetFacts.js';
import type { StoredMachine } from './fleetFacts.js';

/** A machine with its schedule of today. */
export interface ScheduledMachine extends StoredMachine {
  readonly schedule: MachineSchedule;
}

/** The schedules of one day, under the settings and seasons of then. */
interface KeptDay {
  readonly key: string;
  readonly context: ScheduleContext;
  /** by machine id; each holds for the facts it was worked out from */
  readonly machines: Map<string, ScheduledMachine>;
}

/**
 * The schedules of the fleet. Readings of years follow from each other for ever, so what was worked out is kept until the facts of
 * a machine change: every writer of such facts says so with {@link touched}.
 */
@Injectable()
export class FleetSchedule {
  /** by machine id; each for one revision of its facts */
  private readonly stored = new Map<string, StoredMachine>();
  private day: KeptDay | null = null;

  constructor(
    private readonly calendar: SiteCalendar,
    private readonly seasons: Seasons,
    private readonly facts: FleetFacts,
  ) {}

  /** All machines but the retired ones, in the order of their tags. */
  async read(): Promise<ScheduledMachine[]> {
    const all = await this.readAll();
    return all.filter(({ machine }) => machine.status !== 'retired');
  }

  /** All machines, retired ones too, in the order of their tags. */
  async readAll(): Promise<ScheduledMachine[]> {
    if (ambient.get('transaction')) return this.workOut(await this.context());
    const { context, machines } = await this.today();
    const rows = await Machine.findAll({
      attributes: ['id', 'factsRevision', 'version'],
      order: ['tag'],
      raw: true,
    });
    await this.refresh(rows);
    const scheduled = await mapGently(rows, ({ id }) => {
      const stored = this.stored.get(id);
      if (!stored) return null;
      const known = machines.get(id);
      if (known?.facts === stored.facts) return known;
      const own = { ...stored, schedule: machineSchedule(stored.facts, context) };
      machines.set(id, own);
      return own;
    });
    return scheduled.filter((each) => each !== null);
  }

  /** The machines with these ids, as they stand inside the running unit of work, where there is one. */
  async readSome(machineIds: readonly string[]): Promise<ScheduledMachine[]> {
    return this.workOut(await this.context(), machineIds);
  }

  /** One machine, or undefined where there is none of that id. */
  async readOne(machineId: string): Promise<ScheduledMachine | undefined> {
    return (await this.readSome([machineId]))[0];
  }

  /** Says, inside a unit of work, that the facts of these machines change. */
  async touched(machineIds: readonly string[]): Promise<void> {
    await Machine.update(
      { factsRevision: literal('facts_revision + 1') as unknown as number },
      { where: { id: [...machineIds] } },
    );
  }

  private async context(): Promise<ScheduleContext> {
    const { site, today } = await this.calendar.read();
    const seasons = await this.seasons.all();
    return scheduleContext({ timeZone: site.timeZone, seasons, grid: site.hoursGrid }, today);
  }

  /** Reads the facts of machines anew that were changed since they were read. */
  private async refresh(rows: readonly Pick<Machine, 'id' | 'factsRevision' | 'version'>[]): Promise<void> {
    const old = rows.filter(({ id, factsRevision, version }) => {
      const known = this.stored.get(id)?.machine;
      return known?.factsRevision !== factsRevision || known.version !== version;
    });
    if (old.length === 0) return;
    for (const stored of await this.facts.read(old.map(({ id }) => id))) {
      this.stored.set(stored.machine.id, stored);
    }
  }

  /** What is kept of today, as long as the day, the site and its seasons are the same. */
  private async today(): Promise<KeptDay> {
    const { site, today } = await this.calendar.read();
    const key = [today, site.timeZone, site.version, site.seasonsVersion].join();
    if (this.day?.key === key) return this.day;
    const day = { key, context: await this.context(), machines: new Map<string, ScheduledMachine>() };
    this.day = day;
    return day;
  }

  private async workOut(
    context: ScheduleContext,
    machineIds?: readonly string[],
  ): Promise<ScheduledMachine[]> {
    const stored = await this.facts.read(machineIds);
    return mapGently(stored, (machine) => ({
      ...machine,
      schedule: machineSchedule(machine.facts, context),
    }));
  }
}
