import { useQuery } from '@tanstack/react-query';
import { TopUpDto } from '@yugator/contracts';
import type { RecordKeptDto, TopUpsDto } from '@yugator/contracts';
import { shownValue } from '@yugator/core';
import { useState } from 'react';
import { Field } from '../form/Field.js';
import { FormDialog } from '../form/FormDialog.js';
import { useDtoForm } from '../form/useDtoForm.js';
import { useKept } from '../outbox/useKept.js';
import { waitsWords } from '../outbox/waitsWords.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { useNotice } from '../page/Notice.js';
import { useSession } from '../session/useSession.js';
import { hoursWords } from '../words/figures.js';
import { useUndo } from '../walk/useUndo.js';
import { fluidWords } from './fluidWords.js';
import { PouredFields } from './PouredFields.js';
import { pouredAtFirst, toDto } from './poured.js';
import type { Poured } from './poured.js';
import { topUpQueries } from './topUpQueries.js';

function KnownMachine({ known, onDone }: { known: TopUpsDto; onDone: () => void }) {
  const { machine, fluids, lastShown } = known;
  const offerUndo = useUndo();
  const say = useNotice();
  const { site } = useSession();
  const [poured, setPoured] = useState(() => pouredAtFirst(fluids));
  const form = useDtoForm<TopUpDto>(TopUpDto, toDto(poured), 'onSubmit');
  const { errors } = form.formState;
  const take = (next: Poured) => {
    setPoured(next);
    form.reset({ ...form.getValues(), ...toDto(next) });
  };
  const keep = useKept<RecordKeptDto, TopUpDto>(
    (body) => ({
      method: 'POST',
      path: `/machines/${machine.id}/top-ups`,
      body,
      typed: {
        title: `${machine.tag} ${machine.name}: topped up`,
        lines: [
          [
            fluidWords(body.component),
            shownValue(body.litres, 'volume', site.unitSystem),
            body.grade,
            typeof body.shown === 'number' ? `${hoursWords(body.shown)} h` : '',
          ]
            .filter(Boolean)
            .join(', '),
        ],
      },
    }),
    ['jobs', 'readings', 'shelf'],
  );
  return (
    <FormDialog
      title={`${machine.tag} ${machine.name}: topped up`}
      problem={Object.keys(errors).length ? null : form.problem}
      problemTitle="Not kept"
      submitWord="Keep"
      pending={keep.isPending}
      onSubmit={form.handleSubmit((values) =>
        keep.mutate(
          { ...values },
          {
            onSuccess: (answer) => {
              const what = `${machine.tag}: ${fluidWords(values.component)}`;
              if (answer) offerUndo(`${what} topped up.`, answer.jobId);
              else say(waitsWords(what));
              onDone();
            },
            onError: form.refuse,
          },
        ),
      )}
      onLeave={onDone}
    >
      <PouredFields
        poured={poured}
        onChange={take}
        fluids={fluids}
        faultOf={(part) => errors[part]?.message}
      />
      <Field
        form={form}
        name="shown"
        label="Hours on the meter, if you read them"
        figure="optional"
        hint={lastShown === null ? 'Never read' : `Last read: ${hoursWords(lastShown)} h`}
      />
    </FormDialog>
  );
}

/** Asks what was filled up: how much of what. */
export function TopUpForm({ machineId, onDone }: { machineId: string; onDone: () => void }) {
  const { data, error, refetch } = useQuery(topUpQueries.of(machineId));
  if (data) return <KnownMachine known={data} onDone={onDone} />;
  return error ? <Failed error={error} again={refetch} /> : <Loading rows={3} />;
}
