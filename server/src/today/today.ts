import { Injectable } from '@nestjs/common';
import { SEVERITIES } from '@yugator/contracts';
import type {
  StaleMeterDto,
  TodayCountsDto,
  TodayDto,
  TodayMachineDto,
  WaitingRoundDto,
} from '@yugator/contracts';
import { compareMachines, strongestState } from '@yugator/core';
import type { CivilDate, DueAnswer, RankedMachine } from '@yugator/core';
import { staleDaysOf } from '../meter/toRoundMeter.js';
import { meterOf, meterWords, readMeters } from '../meter/readMeters.js';
import { DefectList } from '../defect/defectList.js';
import { Defects } from '../defect/defects.js';
import { Person } from '../models/person.model.js';
import { TopUps } from '../walk/topUps.js';
import { nextVisits } from './nextVisits.js';
import { ownMachines } from './ownMachines.js';
import { Job } from '../models/job.model.js';
import { mapGently } from '../queue/breather.js';
import { FleetSchedule } from '../schedule/fleetSchedule.js';
import type { ScheduledMachine } from '../schedule/fleetSchedule.js';
import { answersByPlace } from '../schedule/roundAnswers.js';
import { toBitingLines } from '../schedule/toDueLine.js';
import { Shelf } from '../shelf/shelf.js';
import type { Site } from '../models/site.model.js';
import { SiteCalendar } from '../site/siteCalendar.js';

/** A day's work is never longer; the rest stands in the schedule of the fleet. */
const MACHINES_LISTED = 100;

/** Made once: to make one for every comparison takes longer than all the rest. */
const BY_TAG = new Intl.Collator('en', { numeric: true });

/** A machine with what decides its place: its work of visits, worst first; everyday work is done on the walk-round. */
interface RankedToday extends RankedMachine {
  readonly scheduled: ScheduledMachine;
  readonly answers: readonly DueAnswer[];
  /** everyday work that waits, worst first */
  readonly rounds: readonly DueAnswer[];
}

/** What bites now. */
@Injectable()
export class Today {
  constructor(
    private readonly calendar: SiteCalendar,
    private readonly fleet: FleetSchedule,
    private readonly shelf: Shelf,
    private readonly defects: Defects,
    private readonly defectList: DefectList,
    private readonly topUps: TopUps,
  ) {}

  /** As it bites for a person. */
  async read(caller: Person): Promise<TodayDto> {
    const { site, today } = await this.calendar.read();
    // Whose day it is decides what is told beside the work: operators begin with their own.
    const isOperator = caller.role === 'operator';
    const [machines, openJobs, short, defects, own, reported] = await Promise.all([
      this.fleet.read(),
      Job.findAll({ where: { state: 'open' }, order: ['openedAt'], raw: true }),
      this.shelf.short(),
      this.defects.open(),
      isOperator ? ownMachines(caller, today) : [],
      isOperator ? this.defectList.reportedBy(caller) : [],
    ]);
    const jobOf = new Map(openJobs.map((job) => [job.machineId, job.id]));
    const stopped = new Set(
      defects.filter(({ severity }) => severity === 'stop').map(({ machine }) => machine.id),
    );
    const ranked = await mapGently(machines, (scheduled): RankedToday => {
      const { visit, waiting } = answersByPlace(scheduled, today);
      const { id, tag } = scheduled.machine;
      return { scheduled, tag, isStopped: stopped.has(id), answers: visit, rounds: waiting };
    });
    ranked.sort(compareMachines);
    const waiting = ranked
      .filter(({ rounds }) => rounds.length > 0)
      .sort((a, b) => BY_TAG.compare(a.tag, b.tag));
    return {
      today,
      machines: await mapGently(ranked.slice(0, MACHINES_LISTED), (own) =>
        toMachine(own, jobOf.get(own.scheduled.machine.id) ?? null),
      ),
      more: Math.max(0, ranked.length - MACHINES_LISTED),
      counts: await countsOf(ranked),
      visits: await nextVisits(today, jobOf),
      rounds: waiting.slice(0, MACHINES_LISTED).map(toWaiting),
      moreRounds: Math.max(0, waiting.length - MACHINES_LISTED),
      own,
      reported,
      thirsty: await this.topUps.thirsty(machines),
      stale: (await mapGently(machines, (scheduled) => staleMeters(scheduled, today, site)))
        .flat()
        .sort((a, b) => b.days - a.days),
      short,
      defects: defects.toSorted((a, b) => SEVERITIES.indexOf(b.severity) - SEVERITIES.indexOf(a.severity)),
    };
  }
}

function toMachine({ scheduled, answers }: RankedToday, openJobId: string | null): TodayMachineDto {
  const { machine, schedule } = scheduled;
  const ofVisits = new Set(answers.map(({ item }) => item.id));
  const lines = toBitingLines(scheduled).filter(({ itemId }) => ofVisits.has(itemId));
  return {
    id: machine.id,
    tag: machine.tag,
    name: machine.name,
    state: strongestState(answers),
    hoursPerWeek: schedule.usage.hoursPerWeek,
    life: schedule.life,
    lines,
    fine: answers.length - lines.length,
    isOutOfService: machine.status === 'outOfService',
    openJobId,
  };
}

function toWaiting({ scheduled, rounds }: RankedToday): WaitingRoundDto {
  const { id, tag, name } = scheduled.machine;
  const { life } = scheduled.schedule;
  const lines = rounds.map(({ item, state }) => ({ itemId: item.id, itemName: item.name, state }));
  return { id, tag, name, life, lines };
}

/** The meters of a machine that have not been read for too long. */
function staleMeters(scheduled: ScheduledMachine, today: CivilDate, site: Site): StaleMeterDto[] {
  const { id, tag } = scheduled.machine;
  return readMeters(scheduled).flatMap((meter) => {
    const days = staleDaysOf(scheduled, meter, today, site.timeZone, site.staleAfterDays);
    const life = meterOf(scheduled, meter)?.life ?? 0;
    return days === null ? [] : [{ id, meter, tag, name: meterWords(scheduled, meter), days, life }];
  });
}

async function countsOf(machines: readonly RankedToday[]): Promise<TodayCountsDto> {
  const counts = { machines: machines.length, overdue: 0, noRecord: 0, ripe: 0, coming: 0 };
  await mapGently(machines, ({ answers }) => {
    for (const { state } of answers) if (state !== 'fine' && state !== 'resting') counts[state] += 1;
  });
  return counts;
}
