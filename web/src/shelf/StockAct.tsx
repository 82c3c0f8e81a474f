import MenuItem from '@mui/material/MenuItem';
import { StockActDto } from '@yugator/contracts';
import type { ArticleDto } from '@yugator/contracts';
import { fillsContainers, goesOut, stockInShed } from '@yugator/core';
import type { StockAct as Act } from '@yugator/core';
import { useWatch } from 'react-hook-form';
import type { UseFormReturn } from 'react-hook-form';
import { useWrite } from '../api/useWrite.js';
import { DialogButton } from '../form/DialogButton.js';
import { Field } from '../form/Field.js';
import form_ from '../form/form.module.css';
import { FormDialog } from '../form/FormDialog.js';
import { MoneyField } from '../form/MoneyField.js';
import { StockField } from '../form/StockField.js';
import { useDtoForm } from '../form/useDtoForm.js';
import { useNotice } from '../page/Notice.js';
import { useSession } from '../session/useSession.js';
import { useStockWords } from '../session/useStockWords.js';
import { countWords, moneyWords } from '../words/figures.js';
import { likelyShed, shedChoices, ShedField, useSheds } from './ShedField.js';

/** What is done at the shelf: something came in, was counted, or went away or came back. */
type Group = 'received' | 'counted' | 'away';

const WORDS = {
  received: { button: 'Came in', title: 'how much came in?' },
  counted: { button: 'Count', title: 'how much is on the shelf?' },
  away: { button: 'Went away', title: 'what became of it?' },
} as const;

const LABELS: Record<Act, string> = {
  received: 'Came in',
  counted: 'Counted',
  scrapped: 'Thrown away',
  lent: 'Lent',
  returned: 'Came back',
  moved: 'Taken there',
};

const NOTES: Record<Act, string> = {
  received: 'Note',
  counted: 'Note',
  scrapped: 'Why',
  lent: 'To whom',
  returned: 'From whom',
  moved: 'Note',
};

interface Props {
  readonly article: ArticleDto;
  readonly group: Group;
}

interface PartProps {
  readonly form: UseFormReturn<StockActDto>;
  readonly article: ArticleDto;
}

/** What came in, in words: its containers, and what it cost. */
function CameIn({ form, article }: PartProps) {
  const { site } = useSession();
  const stock = useStockWords();
  const [quantity, container, price] = useWatch({
    control: form.control,
    name: ['quantity', 'container', 'priceMinor'],
  });
  if (!Number.isFinite(quantity) || quantity <= 0) return null;
  const isFilled = container && fillsContainers(quantity, container);
  const count = isFilled ? Math.round(quantity / container) : 0;
  const packs = isFilled
    ? `${countWords(count, article.unit === 'litre' ? 'container' : 'pack')} of ${stock(container, article.unit)}, `
    : '';
  const cost = price ?? article.priceMinor;
  return (
    <p className="soft" aria-live="polite">
      {packs}
      {Number.isFinite(cost) ? `${moneyWords(Math.round(quantity * cost), site.currency)} in all` : ''}
    </p>
  );
}

/** In what it came, and what was paid. */
function ReceivedFields({ form, article }: PartProps) {
  const { site } = useSession();
  const isFluid = article.unit === 'litre';
  return (
    <>
      <div className={form_.grid}>
        <StockField
          form={form}
          name="container"
          unit={article.unit}
          mayBeEmpty
          label={isFluid ? 'Each container holds' : 'Each pack holds'}
          hint="Leave it empty if it came loose"
        />
        <MoneyField
          form={form}
          name="priceMinor"
          label={isFluid ? 'Paid for a litre' : 'Paid for one'}
          currency={site.currency}
          mayBeEmpty
          hint="What lies there already keeps its price"
        />
      </div>
      <CameIn form={form} article={article} />
    </>
  );
}

function AwayFields({ form }: Pick<PartProps, 'form'>) {
  const hasSheds = useSheds().length > 0;
  return (
    <Field form={form} name="kind" label="What became of it" select defaultValue="scrapped">
      <MenuItem value="scrapped">Thrown away</MenuItem>
      <MenuItem value="lent">Lent</MenuItem>
      {hasSheds ? <MenuItem value="moved">Taken to another shed</MenuItem> : null}
      <MenuItem value="returned">Came back</MenuItem>
    </Field>
  );
}

function beginOf(article: ArticleDto, group: Group, sheds: readonly string[]): StockActDto {
  const where = sheds.length ? { shed: likelyShed(sheds, article.sheds), note: '' } : { note: '' };
  // What the book says of one shed is no proposal for another.
  if (group === 'counted')
    return { kind: 'counted', quantity: sheds.length ? NaN : article.onHand, ...where };
  if (group === 'away') return { kind: 'scrapped', quantity: 1, ...where };
  const container = article.lots.at(-1)?.container ?? null;
  return { kind: 'received', quantity: container ?? 1, container, priceMinor: article.priceMinor, ...where };
}

/** In which shed it happens, and into which it is taken. */
function Sheds({ form, article }: PartProps) {
  const sheds = useSheds();
  const kind = useWatch({ control: form.control, name: 'kind' });
  const isMoved = kind === 'moved';
  return (
    <div className={form_.grid}>
      <ShedField
        form={form}
        name="shed"
        label={isMoved ? 'From' : 'In which shed'}
        choices={sheds.length ? shedChoices(sheds, article.sheds) : []}
      />
      {isMoved ? <ShedField form={form} name="toShed" label="To" choices={sheds} /> : null}
    </div>
  );
}

function ActForm({ article, group, onDone }: Props & { onDone: () => void }) {
  const say = useNotice();
  const stock = useStockWords();
  const sheds = useSheds();
  const form = useDtoForm(StockActDto, beginOf(article, group, sheds));
  const [kind, shed] = useWatch({ control: form.control, name: ['kind', 'shed'] });
  const booked = sheds.length ? stockInShed(article.sheds, shed || null) : article.onHand;
  const act = useWrite<ArticleDto, StockActDto>(
    (body) => ({ method: 'POST', path: `/articles/${article.id}/movements`, body }),
    ['shelf'],
    (now) => {
      say(`${now.name}: ${stock(now.onHand, now.unit)} on hand.`);
      onDone();
    },
  );
  return (
    <FormDialog
      title={`${article.name}: ${WORDS[group].title}`}
      problem={form.problem}
      problemTitle="Not booked"
      submitWord="Book it"
      pending={act.isPending}
      onSubmit={form.handleSubmit(({ toShed, ...values }) =>
        act.mutate(values.kind === 'moved' ? { ...values, toShed } : values, { onError: form.refuse }),
      )}
      onLeave={onDone}
    >
      {group === 'away' ? <AwayFields form={form} /> : null}
      <Sheds form={form} article={article} />
      <StockField
        form={form}
        name="quantity"
        unit={article.unit}
        label={`${LABELS[kind]}${article.unit === 'litre' ? '' : ' (pieces)'}`}
        autoFocus
        hint={`The book says ${stock(booked, article.unit)}${shed ? ` in ${shed}` : ''}`}
      />
      {group === 'received' ? <ReceivedFields form={form} article={article} /> : null}
      <Field
        form={form}
        name="note"
        label={NOTES[kind]}
        hint={goesOut(kind) ? 'It stands with the movement' : undefined}
      />
    </FormDialog>
  );
}

/** Books stock that came in, or what was counted, thrown away, lent or brought back. */
export function StockAct({ article, group }: Props) {
  const { button } = WORDS[group];
  return (
    <DialogButton
      word={button}
      size="small"
      label={`${button}: ${article.name}`}
      variant={group === 'away' ? 'text' : 'outlined'}
    >
      {(close) => <ActForm article={article} group={group} onDone={close} />}
    </DialogButton>
  );
}
