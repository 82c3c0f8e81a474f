import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { UpdateOrderDto } from '@yugator/contracts';
import type { ArriveDto, OrderDto, OrderLineDto } from '@yugator/contracts';
import { useState } from 'react';
import { Link } from 'react-router';
import { sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { Choose } from '../form/Choose.js';
import { DayField } from '../form/DayField.js';
import { CheckField } from '../form/CheckField.js';
import { DialogButton } from '../form/DialogButton.js';
import { Field } from '../form/Field.js';
import { FormDialog } from '../form/FormDialog.js';
import { useDtoForm } from '../form/useDtoForm.js';
import { Caution } from '../page/Caution.js';
import { Empty } from '../page/Empty.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { useNotice } from '../page/Notice.js';
import { PageHead } from '../page/PageHead.js';
import table from '../page/table.module.css';
import { useIsOneOf, useSession } from '../session/useSession.js';
import { useSheds } from '../shelf/ShedField.js';
import { useStockWords } from '../session/useStockWords.js';
import { dayWords, nearDayWords } from '../words/dates.js';
import { countWords, moneyWords, parseFigure } from '../words/figures.js';
import styles from './buying.module.css';
import { buyingQueries } from './buyingQueries.js';

/** What is typed of a line: nothing, or packs. */
type Typed = Readonly<Record<number, string>>;

function openOf({ packs, arrived }: OrderLineDto): number {
  return packs - arrived;
}

/** Whether what is typed of a line is no number of packs that may arrive. */
function isWrong(text: string, line: OrderLineDto): boolean {
  const packs = parseFigure(text);
  return text !== '' && (!Number.isInteger(packs) || packs < 0 || packs > openOf(line));
}

function OrderLines({
  order,
  typed,
  onType,
}: {
  order: OrderDto;
  typed: Typed | null;
  onType: (line: number, text: string) => void;
}) {
  const { site } = useSession();
  const stock = useStockWords();
  return (
    <table className={table.table}>
      <thead>
        <tr>
          <th style={{ width: '42%' }}>Article</th>
          <th className={table.number}>Each holds</th>
          <th className={table.number}>Each</th>
          <th className={table.number}>Ordered</th>
          <th className={table.number}>Arrived</th>
          {typed ? <th>Arrived now</th> : null}
        </tr>
      </thead>
      <tbody>
        {order.lines.map((line, at) => (
          <tr key={at}>
            <td>
              <b>{line.name}</b>
              {line.number ? <div className="soft">{line.number}</div> : null}
            </td>
            <td className={table.number} data-label="Each holds:">
              {stock(line.pack, line.unit)}
            </td>
            <td className={table.number} data-label="Each:">
              {moneyWords(line.priceMinor, site.currency)}
            </td>
            <td className={table.number} data-label="Ordered:">
              {line.packs}
            </td>
            <td className={table.number} data-label="Arrived:">
              {line.arrived}
            </td>
            {typed ? (
              <td data-label="Arrived now:">
                {openOf(line) > 0 ? (
                  <TextField
                    size="small"
                    sx={{ width: 110 }}
                    value={typed[at] ?? ''}
                    error={isWrong(typed[at] ?? '', line)}
                    helperText={isWrong(typed[at] ?? '', line) ? `0 to ${openOf(line)}` : undefined}
                    onChange={({ target }) => onType(at, target.value)}
                    slotProps={{
                      htmlInput: {
                        'aria-label': `Arrived now of ${line.name}`,
                        inputMode: 'numeric',
                        className: 'fig',
                      },
                    }}
                  />
                ) : (
                  <span className="soft">all here</span>
                )}
              </td>
            ) : null}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function RestForm({ order, onDone }: { order: OrderDto; onDone: () => void }) {
  const say = useNotice();
  const { expectedOn, note, version } = order;
  const form = useDtoForm<UpdateOrderDto>(UpdateOrderDto, { expectedOn, note, isClosed: false, version });
  const update = useWrite<OrderDto, UpdateOrderDto>(
    (body) => ({ method: 'PUT', path: `/orders/${order.id}`, body }),
    ['shelf'],
    ({ isOpen }) => {
      say(isOpen ? 'The order is changed.' : 'The rest of the order is given up.');
      onDone();
    },
  );
  return (
    <FormDialog
      title={`Order at ${order.supplier}`}
      problem={form.problem}
      submitWord="Keep"
      pending={update.isPending}
      onSubmit={form.handleSubmit((values) => update.mutate(values, { onError: form.refuse }))}
      onLeave={onDone}
    >
      <DayField form={form} name="expectedOn" label="Expected on" />
      <Field form={form} name="note" label="Note" />
      <CheckField form={form} name="isClosed" label="The rest does not come" />
    </FormDialog>
  );
}

/** An order of which something is to come: what arrives is typed line by line, or all at once. */
function OpenOrder({ order, mayBook }: { order: OrderDto; mayBook: boolean }) {
  const { site, today } = useSession();
  const say = useNotice();
  const [typed, setTyped] = useState<Typed>({});
  const sheds = useSheds();
  const [chosen, setShed] = useState<string | null>(null);
  const shed = chosen ?? sheds[0];
  const arrive = useWrite<OrderDto, ArriveDto>(
    (body) => ({ method: 'POST', path: `/orders/${order.id}/arrivals`, body }),
    ['shelf'],
    ({ isOpen, supplier }) => {
      setTyped({});
      say(
        isOpen
          ? 'It is on the shelf; the rest is still to come.'
          : `All of the order at ${supplier} is here.`,
      );
    },
  );
  const lines = order.lines.flatMap((_line, line) => {
    const packs = parseFigure(typed[line] ?? '');
    return packs > 0 ? [{ line, packs }] : [];
  });
  const hasFault = order.lines.some((line, at) => isWrong(typed[at] ?? '', line));
  const goods = order.lines.reduce((sum, { packs, priceMinor }) => sum + packs * priceMinor, 0);
  const isLate = order.expectedOn < today;
  return (
    <section aria-label={`Order at ${order.supplier}`} className={styles.from}>
      <div className={styles.fromHead}>
        <h2>{order.supplier}</h2>
        <span className="soft">
          ordered {dayWords(order.orderedOn, today)} by {order.by},{' '}
          {moneyWords(goods + order.carriageMinor, site.currency)} with carriage;{' '}
          {isLate ? (
            <b>was to come {dayWords(order.expectedOn, today)}</b>
          ) : (
            `comes ${nearDayWords(order.expectedOn, today)}`
          )}
          {order.note ? `. ${order.note}` : ''}
        </span>
        {mayBook ? (
          <DialogButton
            word="Change"
            size="small"
            variant="text"
            label={`Change: order at ${order.supplier}`}
          >
            {(close) => <RestForm key={order.version} order={order} onDone={close} />}
          </DialogButton>
        ) : null}
      </div>
      {arrive.error ? <Caution title="Not booked">{<p>{sentenceOf(arrive.error)}</p>}</Caution> : null}
      <OrderLines
        order={order}
        typed={mayBook ? typed : null}
        onType={(line, text) => setTyped({ ...typed, [line]: text })}
      />
      {mayBook ? (
        <div className={styles.acts} style={{ marginTop: 10 }}>
          {shed === undefined ? null : (
            <Choose<string>
              label="Into which shed"
              size="small"
              sx={{ minWidth: 200 }}
              value={shed}
              choices={sheds.map((each) => [each, each] as const)}
              onChange={setShed}
            />
          )}
          <Button
            variant="contained"
            disabled={lines.length === 0 || hasFault}
            loading={arrive.isPending}
            onClick={() =>
              arrive.mutate({ lines, version: order.version, ...(shed === undefined ? null : { shed }) })
            }
          >
            Book what arrived
          </Button>
          <Button
            onClick={() =>
              setTyped(
                Object.fromEntries(
                  order.lines.map((line, at) => [at, openOf(line) ? String(openOf(line)) : '']),
                ),
              )
            }
          >
            All of it arrived
          </Button>
        </div>
      ) : null}
    </section>
  );
}

function DoneOrder({ order }: { order: OrderDto }) {
  const { today, site } = useSession();
  const goods = order.lines.reduce((sum, { arrived, priceMinor }) => sum + arrived * priceMinor, 0);
  const missing = order.lines.filter((line) => openOf(line) > 0).length;
  return (
    <li>
      {dayWords(order.orderedOn, today)}: {order.supplier}, {countWords(order.lines.length, 'line')},{' '}
      {moneyWords(goods + order.carriageMinor, site.currency)}
      {missing ? `, ${countWords(missing, 'line')} not all of which came` : ''}
    </li>
  );
}

/** What was ordered, and what of it arrived. */
export function OrdersPage() {
  const { data, error, refetch } = useQuery(buyingQueries.orders());
  const mayBook = useIsOneOf('crewLead', 'mechanic');
  if (!data) return error ? <Failed error={error} again={refetch} /> : <Loading />;
  const open = data.filter(({ isOpen }) => isOpen);
  const done = data.filter(({ isOpen }) => !isOpen);
  return (
    <>
      <PageHead
        name="Orders"
        title="Orders"
        under={open.length ? `${countWords(open.length, 'order')} still to come` : 'Nothing is to come'}
      >
        <Button component={Link} to="/shelf/buying">
          What to buy
        </Button>
      </PageHead>
      {data.length === 0 ? (
        <Empty title="Nothing was ordered yet.">
          {<p>Mark what is to be bought as ordered; it is reckoned with until it arrives.</p>}
        </Empty>
      ) : null}
      {open.map((order) => (
        <OpenOrder key={order.id} order={order} mayBook={mayBook} />
      ))}
      {done.length ? (
        <section aria-label="Closed orders">
          <h2>Closed</h2>
          <ul>
            {done.map((order) => (
              <DoneOrder key={order.id} order={order} />
            ))}
          </ul>
        </section>
      ) : null}
    </>
  );
}
