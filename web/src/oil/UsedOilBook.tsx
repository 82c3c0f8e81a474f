import MenuItem from '@mui/material/MenuItem';
import { queryOptions, useQuery } from '@tanstack/react-query';
import { EnterUsedOilDto } from '@yugator/contracts';
import type { UsedOilDto } from '@yugator/contracts';
import { get } from '../api/request.js';
import { useWrite } from '../api/useWrite.js';
import { DialogButton } from '../form/DialogButton.js';
import { DayField } from '../form/DayField.js';
import { Field } from '../form/Field.js';
import { QuantityField } from '../form/QuantityField.js';
import { FormDialog } from '../form/FormDialog.js';
import { useDtoForm } from '../form/useDtoForm.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { useNotice } from '../page/Notice.js';
import table from '../page/table.module.css';
import { useIsOneOf, useSession } from '../session/useSession.js';
import { dayWords } from '../words/dates.js';
import { useStockWords } from '../session/useStockWords.js';

const SHOWN = 12;

const usedOilQuery = queryOptions({
  queryKey: ['used-oil'],
  queryFn: ({ signal }) => get<UsedOilDto>('/used-oil', signal),
  meta: { subjects: ['usedOil', 'site'] },
});

function EntryForm({ onDone }: { onDone: () => void }) {
  const { today } = useSession();
  const say = useNotice();
  const form = useDtoForm<EnterUsedOilDto>(EnterUsedOilDto, {
    kind: 'collected',
    litres: NaN,
    on: today,
    note: '',
  });
  const enter = useWrite<UsedOilDto, EnterUsedOilDto>(
    (body) => ({ method: 'POST', path: '/used-oil', body }),
    ['usedOil'],
    () => {
      say('Written into the used-oil book.');
      onDone();
    },
  );
  return (
    <FormDialog
      title="The used-oil book"
      problem={form.problem}
      submitWord="Write it down"
      pending={enter.isPending}
      onSubmit={form.handleSubmit((values) => enter.mutate({ ...values }, { onError: form.refuse }))}
      onLeave={onDone}
    >
      <Field form={form} name="kind" label="What happened" select defaultValue="collected">
        <MenuItem value="collected">Collected</MenuItem>
        <MenuItem value="in">Poured in</MenuItem>
      </Field>
      <QuantityField form={form} name="litres" label="How much" dimension="volume" keptDecimals={2} />
      <DayField form={form} name="on" label="Day" />
      <Field form={form} name="note" label="By whom, or from where" />
    </FormDialog>
  );
}

/** The used-oil container and its book: what went in, and what was collected. */
export function UsedOilBook() {
  const { today } = useSession();
  const stock = useStockWords();
  const { data, error, refetch } = useQuery(usedOilQuery);
  const mayWrite = useIsOneOf('crewLead', 'mechanic');
  return (
    <section aria-label="Used oil" style={{ marginBottom: 24 }}>
      <h2 style={{ marginBottom: 6 }}>Used oil</h2>
      {!data ? (
        error ? (
          <Failed error={error} again={refetch} />
        ) : (
          <Loading rows={2} />
        )
      ) : (
        <>
          <p style={{ marginBottom: 8 }}>
            <b>{stock(data.inside, 'litre')}</b> in a container of {stock(data.capacity, 'litre')}.
            {data.inside > 0.8 * data.capacity ? <b> Have it collected soon.</b> : null}
          </p>
          {data.entries.length ? (
            <table className={table.table}>
              <thead>
                <tr>
                  <th>Day</th>
                  <th className={table.number}>How much</th>
                  <th>What</th>
                  <th>By</th>
                </tr>
              </thead>
              <tbody>
                {data.entries.slice(0, SHOWN).map(({ id, on, litres, note, by }) => (
                  <tr key={id}>
                    <td>{dayWords(on, today)}</td>
                    <td className={table.number} data-label="How much:">
                      {`${litres > 0 ? '+' : ''}${stock(litres, 'litre')}`}
                    </td>
                    <td>{note}</td>
                    <td>{by}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          ) : null}
          {mayWrite ? (
            <div style={{ marginTop: 10 }}>
              <DialogButton word="Write in the used-oil book" size="small">
                {(close) => <EntryForm onDone={close} />}
              </DialogButton>
            </div>
          ) : null}
        </>
      )}
    </section>
  );
}
