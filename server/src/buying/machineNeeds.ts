import type { ComingArticleDto, ComingWorkDto } from '@yugator/contracts';
import { daysBetween, fittingChoices, replacedComponents } from '@yugator/core';
import type { CivilDate, ComingWork, Fit, FittingArticle } from '@yugator/core';
import { isCovered } from '../machine/warrantyOf.js';
import { rulesOn } from '../machine/rulesOn.js';
import { storedCardOrEmpty } from '../machine/storedCard.js';
import type { ItemArticleRow } from '../models/shelf.model.js';
import type { ScheduledMachine } from '../schedule/fleetSchedule.js';
import type { SiteNow } from '../site/siteCalendar.js';

/** What falls due within so many days is done in one visit, where a filter changes how much oil goes in (common practice). */
const ONE_VISIT_DAYS = 14;

/** What the works of a machine may take: by what fits it, else by the lines of its books. */
export class MachineNeeds {
  constructor(
    private readonly scheduled: ScheduledMachine,
    private readonly fits: readonly Fit[],
    private readonly lines: ReadonlyMap<string, readonly ItemArticleRow[]>,
    private readonly today: CivilDate,
    private readonly site: SiteNow['site'],
  ) {}

  works(until: CivilDate): ComingWorkDto[] {
    const coming = this.scheduled.schedule.comingUntil(until);
    return coming.flatMap((work) => this.takenBy(work, coming));
  }

  private takenBy(work: ComingWork, coming: readonly ComingWork[]): ComingWorkDto[] {
    const { machine } = this.scheduled;
    const told = {
      machineId: machine.id,
      machineTag: machine.tag,
      earlyOn: work.earlyOn,
      expectedOn: work.expectedOn,
      lateOn: work.lateOn,
    };
    const beside = coming.filter(
      ({ expectedOn }) => Math.abs(daysBetween(work.expectedOn, expectedOn)) <= ONE_VISIT_DAYS,
    );
    const replaced = replacedComponents(beside.map(({ item }) => item));
    const choices = fittingChoices(work.item, replaced, this.fits, storedCardOrEmpty(machine.spec));
    if (choices.length) return choices.map(({ articles }) => ({ ...told, articles: this.allowed(articles) }));
    return (this.lines.get(work.item.id) ?? []).map(({ articleId, quantity }) => ({
      ...told,
      articles: [{ articleId, quantity }],
    }));
  }

  /** Where the house rule asks for the maker's own parts, those alone, if there are any. */
  private allowed(articles: readonly FittingArticle[]): ComingArticleDto[] {
    const { machine, schedule } = this.scheduled;
    const rule = rulesOn(machine, this.site).parts;
    const wantsMakers =
      rule === 'maker' || (rule === 'makerInWarranty' && isCovered(machine, schedule.life, this.today));
    const originals = articles.filter(({ standing }) => standing === 'original');
    const left = wantsMakers && originals.length ? originals : articles;
    return left.map(({ articleId, quantity }) => ({ articleId, quantity }));
  }
}
