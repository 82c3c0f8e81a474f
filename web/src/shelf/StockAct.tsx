import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { StockActDto } from '@yugator/contracts';
import type { ArticleDto } from '@yugator/contracts';
import { useState } from 'react';
import { useWrite } from '../api/useWrite.js';
import { Field } from '../form/Field.js';
import form_ from '../form/form.module.css';
import { useDtoForm } from '../form/useDtoForm.js';
import { Caution } from '../page/Caution.js';
import { useNotice } from '../page/Notice.js';
import { quantityWords } from '../words/figures.js';

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
  const form = useDtoForm(StockActDto, { kind, quantity: kind === 'counted' ? article.onHand : 1, note: '' });
  const act = useWrite<ArticleDto, StockActDto>(
    (body) => ({ method: 'POST', path: `/articles/${article.id}/movements`, body }),
    ['shelf'],
  );
  const submit = form.handleSubmit((values) =>
    act.mutate(values, {
      onSuccess: (now) => {
        say(`${now.name}: ${quantityWords(now.onHand, now.unit)} on hand.`);
        onDone();
      },
      onError: form.refuse,
    }),
  );
  return (
    <form noValidate onSubmit={(event) => void submit(event)}>
      <DialogTitle>
        {article.name}: {WORDS[kind].title}
      </DialogTitle>
      <DialogContent className={form_.form}>
        {form.problem ? <Caution title="Not booked">{<p>{form.problem}</p>}</Caution> : null}
        <Field
          form={form}
          name="quantity"
          label={`${WORDS[kind].label} (${article.unit === 'litre' ? 'litres' : 'pieces'})`}
          figure
          autoFocus
          hint={`The book says ${quantityWords(article.onHand, article.unit)}`}
          sx={{ mt: 1 }}
        />
        <Field form={form} name="note" label="Note" />
      </DialogContent>
      <DialogActions>
        <Button onClick={onDone}>Leave it</Button>
        <Button type="submit" variant="contained" color="primary" loading={act.isPending}>
          Book it
        </Button>
      </DialogActions>
    </form>
  );
}

/** Books stock that came in, or what was counted. */
export function StockAct({ article, kind }: Props) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button
        size="small"
        onClick={() => setOpen(true)}
        aria-label={`${WORDS[kind].button}: ${article.name}`}
      >
        {WORDS[kind].button}
      </Button>
      <Dialog open={open} onClose={() => setOpen(false)}>
        <ActForm article={article} kind={kind} onDone={() => setOpen(false)} />
      </Dialog>
    </>
  );
}
