import { useQuery } from '@tanstack/react-query';
import { proposedDraws } from '@yugator/contracts';
import type { JobDto, SignOffDto } from '@yugator/contracts';
import { costNow, jobCost, leftWorth } from '@yugator/core';
import { useWatch } from 'react-hook-form';
import type { UseFormReturn } from 'react-hook-form';
import { useSession } from '../session/useSession.js';
import { shelfQueries } from '../shelf/shelfQueries.js';
import { moneyWords } from '../words/figures.js';
import { knownArticles } from './knownArticles.js';

interface Props {
  readonly form: Pick<UseFormReturn<SignOffDto>, 'control'>;
  readonly job: JobDto;
}

function finite(figure: number): number {
  return Number.isFinite(figure) ? figure : 0;
}

/** What the job comes to with what stands in the form. */
export function CostLine({ form, job }: Props) {
  const { site } = useSession();
  const shelf = useQuery(shelfQueries.list());
  const [minutes, draws] = useWatch({ control: form.control, name: ['minutes', 'draws'] });
  const known = knownArticles(proposedDraws(job), shelf.data);
  const priced = draws.flatMap(({ articleId, quantity: typed, left = [] }) => {
    const article = shelf.data?.find(({ id }) => id === articleId);
    const quantity = finite(typed);
    const costMinor = costNow(article?.lots ?? [], quantity, known.get(articleId)?.priceMinor ?? 0);
    return [
      { costMinor },
      // What is left of a kit is taken off again.
      ...left.map((each) => ({
        costMinor:
          0 -
          (leftWorth(costMinor, quantity || 1, article?.contents ?? [], {
            ...each,
            quantity: finite(each.quantity),
          }) ?? 0),
      })),
    ];
  });
  const rate = job.labourRateMinor;
  const cost = jobCost(priced, Number.isFinite(minutes) ? minutes : 0, rate);
  const money = (minor: number) => moneyWords(minor, site.currency);
  return (
    <p>
      Comes to <b className="fig">{money(cost.total)}</b>: parts and fluids {money(cost.parts)}
      {cost.labour === null || rate === null
        ? '; labour is not reckoned, Setup has no rate.'
        : `, labour ${money(cost.labour)} at ${money(rate)} an hour.`}
    </p>
  );
}
