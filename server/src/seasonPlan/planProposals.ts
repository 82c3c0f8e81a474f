import { Injectable, Logger } from '@nestjs/common';
import type { OnApplicationBootstrap, OnApplicationShutdown } from '@nestjs/common';
import type { PlanProposalDto, ProposePlanDto, VisitCardFieldsDto } from '@yugator/contracts';
import { addDays, settledInstance, weekdayOf } from '@yugator/core';
import type { CivilDate, FoundPlan, PlannerInstance } from '@yugator/core';
import { UnitOfWork } from '../database/unitOfWork.js';
import { PlanProposalRow } from '../models/plan.model.js';
import { Site } from '../models/site.model.js';
import { busy, fieldProblem } from '../problem/problem.js';
import { Threads } from '../queue/threads.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { cardsFaults, cardsOf, planOf } from './cardsOfPlan.js';
import { SeasonPlans } from './seasonPlan.js';
import type { PlanFacts } from './seasonPlan.js';
import { storedProposal } from './storedProposal.js';
import { planSite } from './workshopDays.js';

const MOST_WAITING = 4;
const HOUR_MS = 3_600_000;

const crowded = () => busy('Busy planning', 'Other plans are being made. Try again in a minute.', 30);

/** Plans that the server makes: for devices that are too slow, and by itself once a week. Nobody is told of one before it is published. */
@Injectable()
export class PlanProposals implements OnApplicationBootstrap, OnApplicationShutdown {
  private readonly logger = new Logger('PlanProposals');
  private readonly thread = new Threads<PlannerInstance, FoundPlan>(
    'seasonPlan/planThreadWorker.js',
    MOST_WAITING,
    crowded,
  );
  private timer: NodeJS.Timeout | undefined;

  constructor(
    private readonly plans: SeasonPlans,
    private readonly work: UnitOfWork,
    private readonly calendar: SiteCalendar,
  ) {}

  onApplicationBootstrap(): void {
    this.timer = setInterval(() => {
      this.proposeWeekly().catch((error: unknown) =>
        this.logger.warn(`Nothing proposed for this week: ${String(error)}`),
      );
    }, HOUR_MS);
    this.timer.unref();
  }

  async onApplicationShutdown(): Promise<void> {
    clearInterval(this.timer);
    await this.thread.close();
  }

  /** A plan under the locks of these cards. */
  async propose({ cards, weeks }: ProposePlanDto): Promise<PlanProposalDto> {
    const [site, facts, { now }] = await Promise.all([
      planSite(),
      this.plans.facts(weeks),
      this.calendar.read(),
    ]);
    const faults = cardsFaults(cards, facts.machines, facts.today);
    if (faults.length) throw fieldProblem(...faults);
    const instance = lockedBy(cards, facts);
    const madeAt = new Date(now).toISOString();
    const of = { today: facts.today, madeAt, version: site.planVersion };
    return toProposal(await this.thread.run(instance), instance, of);
  }

  /** Once a week, from Monday on, a plan against the published one; none where nobody ever published one. */
  async proposeWeekly(): Promise<void> {
    if ((await Site.count()) === 0) return;
    const [site, { today, now }] = await Promise.all([planSite(), this.calendar.read()]);
    const week = mondayOf(today);
    if (!site.planPublishedAt || (await PlanProposalRow.count({ where: { week } })) > 0) return;
    const facts = await this.plans.facts();
    if (facts.instance.days.length === 0) return;
    const found = await this.thread.run(facts.instance);
    await this.work.run(async () => {
      await PlanProposalRow.destroy({ where: {} });
      await PlanProposalRow.create({
        week,
        madeAt: new Date(now),
        planVersion: site.planVersion,
        cost: found.cost,
        bound: Math.max(0, found.bound),
        cards: cardsOf(found.plan, facts.instance, facts.today),
      });
      this.work.changed('plan');
    });
  }

  /** This week's proposal; null where there is none, or another plan was published meanwhile. */
  async weekly(): Promise<PlanProposalDto | null> {
    const [site, { today }] = await Promise.all([planSite(), this.calendar.read()]);
    const row = await PlanProposalRow.findByPk(mondayOf(today));
    return row && row.planVersion === site.planVersion ? storedProposal(row) : null;
  }
}

function mondayOf(today: CivilDate): CivilDate {
  return addDays(today, -weekdayOf(today));
}

/** The instance with the locked cards as settled, and no others. */
function lockedBy(
  cards: readonly VisitCardFieldsDto[],
  { instance, machines, today }: PlanFacts,
): PlannerInstance {
  const locked = cards.filter(({ isLocked }) => isLocked);
  return settledInstance(instance, planOf(locked, machines, today));
}

function toProposal(
  { plan, cost, bound }: FoundPlan,
  instance: PlannerInstance,
  {
    today,
    madeAt,
    version,
  }: { readonly today: CivilDate; readonly madeAt: string; readonly version: number },
): PlanProposalDto {
  return { cards: cardsOf(plan, instance, today), cost, bound: Math.max(0, bound), madeAt, version };
}
