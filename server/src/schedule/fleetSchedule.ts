import { Injectable } from '@nestjs/common';
import { machineSchedule, scheduleContext } from '@yugator/core';
import type { MachineSchedule, ScheduleContext } from '@yugator/core';
import { ambient } from '../database/ambient.js';
import { Machine } from '../models/machine.model.js';
import { mapGently } from '../queue/breather.js';
import { Seasons } from '../season/seasons.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import type { SiteNow } from '../site/siteCalendar.js';
import { FleetFacts } from '../facts/fleetFacts.js';
import type { StoredMachine } from '../facts/fleetFacts.js';

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

/** What tells whether anything of a machine has changed. */
const REVISION: ('id' | 'factsRevision' | 'version')[] = ['id', 'factsRevision', 'version'];

function isOf(row: Pick<Machine, 'factsRevision' | 'version'>, { machine }: StoredMachine): boolean {
  return machine.factsRevision === row.factsRevision && machine.version === row.version;
}

/** The schedule of a machine on a day, worked out once for the same facts. */
function workedOut(stored: StoredMachine, { context, machines }: KeptDay): ScheduledMachine {
  const known = machines.get(stored.machine.id);
  if (known?.facts === stored.facts) return known;
  const own = { ...stored, schedule: machineSchedule(stored.facts, context) };
  machines.set(stored.machine.id, own);
  return own;
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
    const day = await this.today();
    const rows = await Machine.findAll({
      attributes: REVISION,
      order: ['tag'],
      raw: true,
    });
    await this.refresh(rows);
    const scheduled = await mapGently(rows, ({ id }) => {
      const stored = this.stored.get(id);
      return stored ? workedOut(stored, day) : null;
    });
    this.forgetOthers(rows);
    return scheduled.filter((each) => each !== null);
  }

  /** The machines with these ids, as they stand inside the running unit of work, where there is one. */
  async readSome(machineIds: readonly string[]): Promise<ScheduledMachine[]> {
    return this.workOut(await this.context(), machineIds);
  }

  /**
   * One machine, or undefined where there is none of that id; as it stands inside the running unit of work, where there is one. What is
   * kept serves as long as the facts have the revision that it was worked out from; what a unit of work sees of its own is not kept.
   * `known`: the site of this moment, where it was read already.
   */
  async readOne(machineId: string, known?: SiteNow): Promise<ScheduledMachine | undefined> {
    const row = await Machine.findByPk(machineId, { attributes: REVISION, raw: true });
    if (!row) return undefined;
    const isInside = Boolean(ambient.get('transaction'));
    const day = isInside ? await this.keptToday(known) : await this.today();
    if (!isInside) await this.refresh([row]);
    const stored = this.stored.get(machineId);
    if (!day || !stored || !isOf(row, stored)) return (await this.readSome([machineId]))[0];
    return workedOut(stored, day);
  }

  /** Says, inside a unit of work, that the facts of these machines change. */
  async touched(machineIds: readonly string[]): Promise<void> {
    await Machine.increment('factsRevision', { where: { id: [...machineIds] } });
  }

  /** The site on today, as schedules are worked out. */
  async context(): Promise<ScheduleContext> {
    const { site, today } = await this.calendar.read();
    const seasons = await this.seasons.all();
    return scheduleContext({ timeZone: site.timeZone, seasons, grid: site.hoursGrid }, today);
  }

  /** Reads the facts of machines anew that were changed since they were read. */
  private async refresh(rows: readonly Pick<Machine, 'id' | 'factsRevision' | 'version'>[]): Promise<void> {
    const old = rows.filter((row) => {
      const stored = this.stored.get(row.id);
      return !stored || !isOf(row, stored);
    });
    if (old.length === 0) return;
    for (const stored of await this.facts.read(old.map(({ id }) => id))) {
      this.stored.set(stored.machine.id, stored);
    }
  }

  /** Keeps no more machines than there are. */
  private forgetOthers(rows: readonly Pick<Machine, 'id'>[]): void {
    if (this.stored.size <= rows.length) return;
    const ids = new Set(rows.map(({ id }) => id));
    for (const kept of [this.stored, this.day?.machines])
      for (const id of kept?.keys() ?? []) if (!ids.has(id)) kept?.delete(id);
  }

  private async todayKey(known?: SiteNow): Promise<string> {
    const { site, today } = known ?? (await this.calendar.read());
    return [today, site.id, site.timeZone, site.version, site.seasonsVersion].join();
  }

  /** What is kept of today; null where the day, the site or its seasons are others by now. */
  private async keptToday(known?: SiteNow): Promise<KeptDay | null> {
    return this.day?.key === (await this.todayKey(known)) ? this.day : null;
  }

  /** What is kept of today, begun anew where the day, the site or its seasons are others by now. */
  private async today(): Promise<KeptDay> {
    const key = await this.todayKey();
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
