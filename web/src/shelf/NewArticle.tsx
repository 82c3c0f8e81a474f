import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import { CreateArticleDto } from '@yugator/contracts';
import type { ArticleDto } from '@yugator/contracts';
import { useState } from 'react';
import { useWrite } from '../api/useWrite.js';
import { Field } from '../form/Field.js';
import form_ from '../form/form.module.css';
import { useDtoForm } from '../form/useDtoForm.js';
import { Caution } from '../page/Caution.js';
import { useNotice } from '../page/Notice.js';
import { useSession } from '../session/useSession.js';

function NewArticleForm({ onDone }: { onDone: () => void }) {
  const { site } = useSession();
  const say = useNotice();
  const form = useDtoForm<CreateArticleDto>(CreateArticleDto, {
    name: '',
    kind: 'part',
    unit: 'piece',
    leastOnHand: 0,
    priceMinor: 0,
  });
  const create = useWrite<ArticleDto, CreateArticleDto>(
    (body) => ({ method: 'POST', path: '/articles', body }),
    ['shelf'],
  );
  const submit = form.handleSubmit((values) =>
    create.mutate(values, {
      onSuccess: (article) => {
        say(`${article.name} is on the shelf; now say how much came in.`);
        onDone();
      },
      onError: form.refuse,
    }),
  );
  return (
    <form noValidate onSubmit={(event) => void submit(event)}>
      <DialogTitle>A new article</DialogTitle>
      <DialogContent className={form_.form}>
        {form.problem ? <Caution title="Not saved">{<p>{form.problem}</p>}</Caution> : null}
        <Field form={form} name="name" label="Name" autoFocus sx={{ mt: 1 }} />
        <div className={form_.grid}>
          <Field form={form} name="kind" label="Kind" select defaultValue="part">
            <MenuItem value="kit">Kit</MenuItem>
            <MenuItem value="part">Part</MenuItem>
            <MenuItem value="fluid">Fluid</MenuItem>
          </Field>
          <Field form={form} name="unit" label="Counted in" select defaultValue="piece">
            <MenuItem value="piece">Pieces</MenuItem>
            <MenuItem value="litre">Litres</MenuItem>
          </Field>
          <Field form={form} name="leastOnHand" label="Least wanted on hand" figure />
          <Field
            form={form}
            name="priceMinor"
            label={`Price of one (${site.currency})`}
            figure={(price) => Math.round(price * 100)}
            hint="Such as 28.90"
          />
        </div>
      </DialogContent>
      <DialogActions>
        <Button onClick={onDone}>Leave it</Button>
        <Button type="submit" variant="contained" color="primary" loading={create.isPending}>
          Put it on the shelf
        </Button>
      </DialogActions>
    </form>
  );
}

export function NewArticle() {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button onClick={() => setOpen(true)}>New article</Button>
      <Dialog open={open} onClose={() => setOpen(false)}>
        <NewArticleForm onDone={() => setOpen(false)} />
      </Dialog>
    </>
  );
}
