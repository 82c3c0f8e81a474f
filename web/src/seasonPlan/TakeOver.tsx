import Button from '@mui/material/Button';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { UpdateWorkshopDaysDto, UpdateWorkshopDto } from '@yugator/contracts';
import { useNavigate } from 'react-router';
import { sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { Caution } from '../page/Caution.js';
import { cardsOfPlan, toFields } from './cards.js';
import { planQueries } from './planQueries.js';
import { daysWithout, SUPPOSED } from './supposed.js';
import type { Supposed, SupposedFields, SupposeFacts } from './supposed.js';
import type { Brought } from './useDraft.js';
import type { WhatIf } from './useWhatIf.js';

interface Props {
  readonly kind: Supposed;
  readonly fields: SupposedFields;
  readonly facts: SupposeFacts;
  readonly whatIf: Extract<WhatIf, { readonly state: 'done' }>;
}

/** Takes a supposition over: what of it can be said of the workshop or the house is said, and its visits become a draft. */
export function TakeOver({ kind, fields, facts, whatIf }: Props) {
  const navigate = useNavigate();
  const client = useQueryClient();
  const bring = () => {
    const { plan, instance } = whatIf;
    // A machine more is not in the fleet yet.
    const cards = cardsOfPlan(plan, instance).filter(({ machine }) => machine < facts.plan.machines.length);
    const brought: Brought = { cards: toFields(cards, facts.plan), words: SUPPOSED[kind] };
    void navigate('/season/plan', { state: { brought } });
  };
  /** What was said changes what the plan is made from: it is read anew first. */
  const bringToNew = useMutation({
    networkMode: 'always',
    mutationFn: () => client.fetchQuery({ ...planQueries.plan(), staleTime: 0 }),
    onSuccess: bring,
  });
  const saveDays = useWrite<unknown, UpdateWorkshopDaysDto>(
    (body) => ({ method: 'PUT', path: '/workshop-days', body }),
    ['plan'],
    () => bringToNew.mutate(),
  );
  const saveRules = useWrite<unknown, UpdateWorkshopDto>(
    (body) => ({ method: 'PUT', path: '/site/workshop', body }),
    ['site', 'jobs'],
    () => bringToNew.mutate(),
  );
  const says = kind === 'annual' ? 'rule' : kind === 'away' && fields.personId ? 'absence' : 'nothing';
  const isStored = saveDays.isSuccess || saveRules.isSuccess;
  const take = () => {
    // Nothing is stored twice.
    if (isStored) bringToNew.mutate();
    else if (says === 'absence') saveDays.mutate(daysWithout(facts.days, fields));
    else if (says === 'rule') {
      const { workshop } = facts;
      saveRules.mutate({ ...workshop, rules: { ...workshop.rules, annual: fields.annual } });
    } else bring();
  };
  const error = saveDays.error ?? saveRules.error;
  return (
    <div style={{ marginTop: 14 }}>
      {error ? <Caution title="Not taken over">{<p>{sentenceOf(error)}</p>}</Caution> : null}
      {bringToNew.error ? (
        <Caution title="Stored, but the visits are not a draft yet">
          <p>{sentenceOf(bringToNew.error)}</p>
        </Caution>
      ) : null}
      <Button onClick={take} loading={saveDays.isPending || saveRules.isPending || bringToNew.isPending}>
        {isStored ? 'Bring the visits over' : 'Take it over'}
      </Button>
      <p className="soft">
        {says === 'absence' ? 'Stores under Days of the workshop who is away. ' : ''}
        {says === 'rule' ? 'Changes the house rule. ' : ''}
        The visits as supposed become a draft under Visits planned, which nobody is told of before you publish
        it.
      </p>
    </div>
  );
}
