import { CreateOrderDto } from '@yugator/contracts';
import type { BoughtFromDto, OrderDto } from '@yugator/contracts';
import { addDays, civilDate } from '@yugator/core';
import type { BuyingLine } from '@yugator/core';
import { useWrite } from '../api/useWrite.js';
import { DayField } from '../form/DayField.js';
import { DialogButton } from '../form/DialogButton.js';
import { Field } from '../form/Field.js';
import { FormDialog } from '../form/FormDialog.js';
import { useDtoForm } from '../form/useDtoForm.js';
import { useNotice } from '../page/Notice.js';
import { countWords } from '../words/figures.js';
import { numberOf } from './numberOf.js';

interface Props {
  readonly supplier: BoughtFromDto;
  readonly lines: readonly BuyingLine[];
  readonly carriageMinor: number;
  /** civil date */
  readonly today: string;
}

function OrderForm({ supplier, lines, carriageMinor, today, onDone }: Props & { onDone: () => void }) {
  const say = useNotice();
  const slowest = Math.max(...lines.map(({ offer }) => offer.leadDays));
  const form = useDtoForm<CreateOrderDto>(CreateOrderDto, {
    supplierId: supplier.id,
    carriageMinor,
    expectedOn: addDays(civilDate(today), slowest),
    note: '',
    lines: lines.map((line) => ({
      articleId: line.offer.articleId,
      number: numberOf(line.offer, supplier),
      pack: line.offer.pack,
      packs: line.packs,
      priceMinor: line.offer.priceMinor,
    })),
  });
  const order = useWrite<OrderDto, CreateOrderDto>(
    (body) => ({ method: 'POST', path: '/orders', body }),
    ['shelf'],
    () => {
      say(`The order at ${supplier.name} is written down; what arrives is booked under Orders.`);
      onDone();
    },
  );
  return (
    <FormDialog
      title={`Ordered at ${supplier.name}`}
      problem={form.problem}
      problemTitle="Not written down"
      submitWord="It is ordered"
      pending={order.isPending}
      onSubmit={form.handleSubmit((values) => order.mutate(values, { onError: form.refuse }))}
      onLeave={onDone}
    >
      <p>
        {countWords(lines.length, 'line')} as they stand here. Yugator orders nothing by itself: ring, write
        or drive there, then write it down.
      </p>
      <DayField form={form} name="expectedOn" label="Expected on" />
      <Field form={form} name="note" label="Note" />
    </FormDialog>
  );
}

/** Writes down that what is to be bought from a supplier was ordered. */
export function MarkOrdered(props: Props) {
  return (
    <DialogButton word="Mark ordered" size="small" label={`Mark ordered: ${props.supplier.name}`}>
      {(close) => <OrderForm {...props} onDone={close} />}
    </DialogButton>
  );
}
