import { checkBody, FitFieldsDto, pointerParts } from '@yugator/contracts';
import { fitSpec } from '@yugator/core';
import type { FitLine, LinkTarget, ListFault } from '@yugator/core';
import { grouped } from '../database/grouped.js';
import { fitFaults } from '../machine/fitFaults.js';
import { Machine } from '../models/machine.model.js';
import { FitRow } from '../models/shelf.model.js';
import type { FleetSchedule, ScheduledMachine } from '../schedule/fleetSchedule.js';
import type { ShelvedFit } from '../shelf/fits.js';
import type { SiteCalendar, SiteNow } from '../site/siteCalendar.js';
import { known } from '../database/known.js';
import { inChunks } from '../database/inChunks.js';
import { namedArticles } from './namedArticles.js';
import { openLinks } from './openLinks.js';
import { atHeadings } from './openList.js';
import type { OpenList, ReadyLine } from './openList.js';
import { tooManyFaults } from './tooMany.js';

type Ready = ReadyLine<FitLine, LinkTarget>;

/** What fits a machine at most, as on its page. */
const MOST = 200;

function columnOf([first]: readonly string[]): keyof FitLine & string {
  return first === 'component' || first === 'quantity' || first === 'standing' || first === 'reason'
    ? first
    : 'article';
}

function fitOf({
  target: { articleId },
  now: { component, quantity, standing, reason },
}: Ready): FitFieldsDto {
  return { articleId, component, quantity, standing, reason };
}

/** What a machine takes once the lines are in: what stands there, changed and added to. */
function merged(before: readonly ShelvedFit[], lines: readonly Ready[]): FitFieldsDto[] {
  const key = ({ component, articleId }: Pick<FitFieldsDto, 'component' | 'articleId'>) =>
    `${component} ${articleId}`;
  const said = new Map(
    before.map(({ component, articleId, quantity, standing, reason }) => {
      const fit = { component, articleId, quantity, standing, reason };
      return [key(fit), fit];
    }),
  );
  for (const ready of lines) said.set(key(fitOf(ready)), fitOf(ready));
  return [...said.values()];
}

/** What fits the machines, as a list. */
export async function fitList(
  schedule: FleetSchedule,
  calendar: SiteCalendar,
  lock: boolean,
): Promise<OpenList<FitLine, LinkTarget>> {
  const spec = fitSpec();
  const [{ byId, named }, machines, rows, siteNow] = await Promise.all([
    namedArticles(),
    Machine.findAll({ attributes: ['id', 'tag', 'status'], lock }),
    FitRow.findAll(),
    calendar.read(),
  ]);
  // Of a retired machine nothing is bought any more.
  const inService = machines.filter(({ status }) => status !== 'retired');
  const tags = new Map(inService.map(({ id, tag }) => [id, tag]));
  const links = rows.flatMap(({ machineId, component, articleId, quantity, standing, reason }) => {
    const owner = tags.get(machineId);
    const article = known(byId, articleId).name;
    return owner === undefined
      ? []
      : [{ ownerId: machineId, articleId, line: { owner, article, component, quantity, standing, reason } }];
  });
  const fitsByMachine = grouped(rows, ({ machineId }) => machineId);
  const beforeOf = (machineId: string): ShelvedFit[] =>
    (fitsByMachine.get(machineId) ?? []).map(({ component, articleId, quantity, standing, reason }) => ({
      component,
      articleId,
      quantity,
      standing,
      reason,
      article: known(byId, articleId),
    }));

  const machineFaults = (lines: readonly Ready[], scheduled: ScheduledMachine, now: SiteNow): ListFault[] => {
    const before = beforeOf(scheduled.machine.id);
    const all = merged(before, lines);
    const facts = { before, articles: byId, scheduled, siteNow: now, caller: { role: 'crewLead' as const } };
    return fitFaults(all, facts).flatMap((each) => {
      const [, at = '', ...path] = pointerParts(each.pointer);
      const fit = all[Number(at)];
      const ready = lines.find(
        ({ target, now: said }) => target.articleId === fit?.articleId && said.component === fit.component,
      );
      // Lines that stand there already were judged when they came.
      return ready
        ? atHeadings([{ ...each, pointer: `/${path.join('/')}` }], ready.line, spec.columns, columnOf)
        : [];
    });
  };

  const judge = async (lines: readonly Ready[]): Promise<ListFault[]> => {
    const plain = lines.flatMap((ready) => {
      const { faults = [] } = checkBody(FitFieldsDto, { ...fitOf(ready) });
      return atHeadings(faults, ready.line, spec.columns, columnOf);
    });
    const byMachine = grouped(lines, ({ target }) => target.ownerId);
    const scheduled = await schedule.readSome([...byMachine.keys()]);
    return [
      ...plain,
      ...tooManyFaults(lines, links, MOST, 'Keep 200 articles that fit at most.'),
      ...scheduled.flatMap((each) => machineFaults(byMachine.get(each.machine.id) ?? [], each, siteNow)),
    ];
  };

  const owners = inService.map(({ id, tag }) => ({ id, name: tag, codes: [] }));
  return openLinks(
    spec,
    { owners, articles: named, links },
    {
      judge,
      write: async (lines) => {
        await inChunks(lines, (chunk) =>
          FitRow.bulkCreate(
            chunk.map((ready) => ({ ...fitOf(ready), machineId: ready.target.ownerId })),
            { updateOnDuplicate: ['quantity', 'standing', 'reason'] },
          ),
        );
        const touched = [...grouped(lines, ({ target }) => target.ownerId).keys()];
        await Machine.increment('version', { where: { id: touched } });
        await schedule.touched(touched);
      },
    },
  );
}
