import { StockActDto } from '@yugator/contracts';
import type { ArticleDto } from '@yugator/contracts';
import { useWrite } from '../api/useWrite.js';
import { DialogButton } from '../form/DialogButton.js';
import { Field } from '../form/Field.js';
import { StockField } from '../form/StockField.js';
import { FormDialog } from '../form/FormDialog.js';
import { useDtoForm } from '../form/useDtoForm.js';
import { useNotice } from '../page/Notice.js';
import { useStockWords } from '../session/useStockWords.js';

const WORDS = {
  received: { button: 'Came in', title: 'how much came in?', label: 'Came in' },
  counted: { button: 'Count', title: 'how much is on the shelf?', label: 'Counted' },
} as const;

interface Props {
  readonly article: ArticleDto;
  readonly kind: 'received' | 'counted';
}

function ActForm({ article, kind, onDone }: Props & { onDone: () => void }) {
  const say = useNotice();
  const stock = useStockWords();
  const form = useDtoForm(StockActDto, { kind, quantity: kind === 'counted' ? article.onHand : 1, note: '' });
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
      title={`${article.name}: ${WORDS[kind].title}`}
      problem={form.problem}
      problemTitle="Not booked"
      submitWord="Book it"
      pending={act.isPending}
      onSubmit={form.handleSubmit((values) => act.mutate(values, { onError: form.refuse }))}
      onLeave={onDone}
    >
      <StockField
        form={form}
        name="quantity"
        unit={article.unit}
        label={`${WORDS[kind].label}${article.unit === 'litre' ? '' : ' (pieces)'}`}
        autoFocus
        hint={`The book says ${stock(article.onHand, article.unit)}`}
      />
      <Field form={form} name="note" label="Note" />
    </FormDialog>
  );
}

/** Books stock that came in, or what was counted. */
export function StockAct({ article, kind }: Props) {
  const { button } = WORDS[kind];
  return (
    <DialogButton word={button} size="small" label={`${button}: ${article.name}`}>
      {(close) => <ActForm article={article} kind={kind} onDone={close} />}
    </DialogButton>
  );
}
