import { useQuery } from '@tanstack/react-query';
import type { JobDto, SignOffDto } from '@yugator/contracts';
import { filledComponents, fluidStop, usedParts } from '@yugator/core';
import { useWatch } from 'react-hook-form';
import type { UseFormReturn } from 'react-hook-form';
import { Field } from '../form/Field.js';
import { JudgedFluid } from '../fluid/FluidVerdict.js';
import { useIsOneOf } from '../session/useSession.js';
import { fluidTargetOf } from './fluidTargetOf.js';
import { shelfQueries } from '../shelf/shelfQueries.js';

interface Props {
  readonly form: UseFormReturn<SignOffDto>;
  readonly job: JobDto;
}

/** Fluids among the draws, those of opened kits too, that do not belong in this machine; the crew lead says here why one was used all the same. */
export function FluidReason({ form, job }: Props) {
  const { data: shelf = [] } = useQuery(shelfQueries.list());
  const isLead = useIsOneOf('crewLead');
  const draws = useWatch({ control: form.control, name: 'draws' });
  const done = job.items.filter(({ outcome }) => outcome === 'done').map(({ itemId }) => itemId);
  const components = filledComponents(job.setUp, new Set(done));
  const target = fluidTargetOf(job);
  const used = draws.flatMap(({ articleId, quantity, left = [] }) => {
    const contents = shelf.find(({ id }) => id === articleId)?.contents ?? [];
    return [articleId, ...usedParts(quantity, contents, left)];
  });
  const stops = [...new Set(used)].flatMap((articleId) => {
    const article = shelf.find(({ id, kind }) => id === articleId && kind === 'fluid');
    const stop = article && fluidStop(article, components, target);
    return article && stop ? [{ article, faults: stop.faults }] : [];
  });
  const isAsked = form.formState.errors.fluidReason !== undefined;
  if (stops.length === 0 && !isAsked) return null;
  return (
    <>
      {stops.map(({ article, faults }) => (
        <div key={article.id}>
          <p>
            <b>{article.name}</b>
          </p>
          <JudgedFluid judgement={{ verdict: 'stop', faults }} />
        </div>
      ))}
      {isLead || isAsked ? (
        <Field
          form={form}
          name="fluidReason"
          label="Why it was used all the same"
          hint="It stays in the record"
        />
      ) : null}
    </>
  );
}
