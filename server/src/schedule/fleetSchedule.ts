import { Injectable } from '@nestjs/common';
import { machineSchedule, scheduleContext } from '@yugator/core';
import type { MachineSchedule, ScheduleContext } from '@yugator/core';
import { literal } from 'sequelize';
import { ambient } from '../database/ambient.js';
import { Machine } from '../machine/machine.model.js';
import { Seasons } from '../season/seasons.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { FleetFacts } from './fleetFacts.js';
import type { StoredMachine } from './fleetFacts.js';

/** A machine with its schedule of today. */
export interface ScheduledMachine extends StoredMachine {
  readonly schedule: MachineSchedule;
}

/** What was worked out last, and from what. */
interface Kept {
  /** site, seasons and day that the schedules hold for */
  readonly key: string;
  readonly context: ScheduleContext;
  /** by machine id; each for one revision of its facts */
  readonly machines: Map<string, ScheduledMachine>;
}

/**
 * The schedules of the fleet. Readings of years follow from each other for ever, so what was worked out is kept until the facts of
 * a machine change: every writer of such facts says so with {@link touched}.
 */
@Injectable()
export class FleetSchedule {
  private kept: Kept | null = null;

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
    const kept = await this.current();
    const rows = await Machine.findAll({
      attributes: ['id', 'factsRevision', 'version'],
      order: ['tag'],
      raw: true,
    });
    const isOld = (row: { id: string; factsRevision: number; version: number }) => {
      const known = kept.machines.get(row.id)?.machine;
      return known?.factsRevision !== row.factsRevision || known.version !== row.version;
    };
    const old = rows.filter(isOld).map(({ id }) => id);
    if (old.length) {
      for (const scheduled of await this.workOut(kept.context, old)) {
        kept.machines.set(scheduled.machine.id, scheduled);
      }
    }
    return rows.flatMap(({ id }) => kept.machines.get(id) ?? []);
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

  /** What is kept, as long as site, seasons and day are the same. */
  private async current(): Promise<Kept> {
    const { site, today } = await this.calendar.read();
    const key = [today, site.timeZone, site.version, site.seasonsVersion].join();
    if (this.kept?.key === key) return this.kept;
    const kept = { key, context: await this.context(), machines: new Map<string, ScheduledMachine>() };
    this.kept = kept;
    return kept;
  }

  private async workOut(
    context: ScheduleContext,
    machineIds?: readonly string[],
  ): Promise<ScheduledMachine[]> {
    const stored = await this.facts.read(machineIds);
    return stored.map((machine) => ({ ...machine, schedule: machineSchedule(machine.facts, context) }));
  }
}
