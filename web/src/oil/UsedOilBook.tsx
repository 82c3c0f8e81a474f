import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import MenuItem from '@mui/material/MenuItem';
import { queryOptions, useQuery } from '@tanstack/react-query';
import { EnterUsedOilDto } from '@yugator/contracts';
import type { UsedOilDto, WasteContainerDto } from '@yugator/contracts';
import { civilDate, isToBeCollected, WASTE_KEYS, WASTES } from '@yugator/core';
import { useState } from 'react';
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
import styles from './oil.module.css';

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
    waste: 'oil',
    litres: NaN,
    on: today,
    note: '',
    receipt: '',
  });
  const enter = useWrite<UsedOilDto, EnterUsedOilDto>(
    (body) => ({ method: 'POST', path: '/used-oil', body }),
    ['usedOil'],
    () => {
      say('Written into the used-oil book.');
      onDone();
    },
  );
  const kind = form.watch('kind');
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
        <MenuItem value="level">Found in it</MenuItem>
      </Field>
      <Field form={form} name="waste" label="Of what" select defaultValue="oil">
        {WASTE_KEYS.map((waste) => (
          <MenuItem key={waste} value={waste}>
            {WASTES[waste].words}
          </MenuItem>
        ))}
      </Field>
      <QuantityField
        form={form}
        name="litres"
        label={kind === 'level' ? 'How much is in it' : 'How much'}
        dimension="volume"
        keptDecimals={2}
      />
      <DayField form={form} name="on" label="Day" />
      <Field
        form={form}
        name="note"
        label={kind === 'level' ? 'How it was found' : 'By whom, or from where'}
      />
      {kind === 'collected' ? <Field form={form} name="receipt" label="Number of the receipt" /> : null}
    </FormDialog>
  );
}

/** A container of waste: how full it is, and when it will be. */
function Container({ container }: { container: WasteContainerDto }) {
  const { waste, inside, capacity, outlook } = container;
  const { today } = useSession();
  const stock = useStockWords();
  return (
    <>
      <LinearProgress
        variant="determinate"
        aria-label={`How full the container of ${WASTES[waste].words} is`}
        value={capacity > 0 ? Math.min(100, (100 * inside) / capacity) : 100}
        className={styles.level}
      />
      <p>
        <b>{stock(inside, 'litre')}</b> of {WASTES[waste].words} in a container of {stock(capacity, 'litre')}.
        {isToBeCollected(container, civilDate(today)) ? <b> Have it collected soon.</b> : null}
      </p>
      {outlook ? (
        <p className="soft">
          {stock(outlook.perWeek, 'litre')} a week over the last year: full about{' '}
          {dayWords(outlook.fullOn, today)}; as in the busiest quarter, on {dayWords(outlook.soonest, today)}.
        </p>
      ) : null}
    </>
  );
}

/** The containers of used oil and other waste, and their book: what went in, and what was collected. */
export function UsedOilBook() {
  const { today } = useSession();
  const stock = useStockWords();
  const { data, error, refetch } = useQuery(usedOilQuery);
  const mayWrite = useIsOneOf('crewLead', 'mechanic');
  const [isAll, setAll] = useState(false);
  return (
    <section aria-label="Used oil" style={{ marginBottom: 24 }}>
      <h2 style={{ marginBottom: 6 }}>Used oil and other waste</h2>
      {!data ? (
        error ? (
          <Failed error={error} again={refetch} />
        ) : (
          <Loading rows={2} />
        )
      ) : (
        <>
          <ul className={styles.containers}>
            {data.containers.map((container) => (
              <li key={container.waste}>
                <Container container={container} />
              </li>
            ))}
          </ul>
          {data.entries.length ? (
            <table className={table.table}>
              <thead>
                <tr>
                  <th>Day</th>
                  <th className={table.number}>How much</th>
                  <th>Of</th>
                  <th>What</th>
                  <th>By</th>
                </tr>
              </thead>
              <tbody>
                {data.entries
                  .slice(0, isAll ? undefined : SHOWN)
                  .map(({ id, on, litres, waste, note, receipt, by }) => (
                    <tr key={id}>
                      <td>{dayWords(on, today)}</td>
                      <td className={table.number} data-label="How much:">
                        {`${litres > 0 ? '+' : ''}${stock(litres, 'litre')}`}
                      </td>
                      <td>{WASTES[waste].words}</td>
                      <td>{receipt ? `${note}, receipt ${receipt}` : note}</td>
                      <td>{by}</td>
                    </tr>
                  ))}
              </tbody>
            </table>
          ) : null}
          {data.entries.length > SHOWN && !isAll ? (
            <Button variant="text" onClick={() => setAll(true)}>
              The latest {data.entries.length} lines
            </Button>
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
