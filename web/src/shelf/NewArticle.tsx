import MenuItem from '@mui/material/MenuItem';
import { CreateArticleDto } from '@yugator/contracts';
import type { ArticleDto } from '@yugator/contracts';
import { FormProvider } from 'react-hook-form';
import { useWrite } from '../api/useWrite.js';
import { DialogButton } from '../form/DialogButton.js';
import { Field } from '../form/Field.js';
import form_ from '../form/form.module.css';
import { FormDialog } from '../form/FormDialog.js';
import { useDtoForm } from '../form/useDtoForm.js';
import { useNotice } from '../page/Notice.js';
import { ArticleFields } from './ArticleFields.js';
import { NOTHING_SAID } from './articleForm.js';

function NewArticleForm({ onDone }: { onDone: () => void }) {
  const say = useNotice();
  const form = useDtoForm<CreateArticleDto>(CreateArticleDto, {
    name: '',
    kind: 'part',
    unit: 'piece',
    leastOnHand: 0,
    priceMinor: 0,
    ...NOTHING_SAID,
  });
  const create = useWrite<ArticleDto, CreateArticleDto>(
    (body) => ({ method: 'POST', path: '/articles', body }),
    ['shelf'],
    (article) => {
      say(`${article.name} is on the shelf; now say how much came in.`);
      onDone();
    },
  );
  return (
    <FormDialog
      title="A new article"
      problem={form.problem}
      submitWord="Put it on the shelf"
      pending={create.isPending}
      onSubmit={form.handleSubmit((values) => create.mutate(values, { onError: form.refuse }))}
      onLeave={onDone}
    >
      <Field form={form} name="name" label="Name" autoFocus />
      <div className={form_.grid}>
        <Field form={form} name="kind" label="Kind" select defaultValue="part">
          <MenuItem value="kit">Kit</MenuItem>
          <MenuItem value="part">Part</MenuItem>
          <MenuItem value="fluid">Fluid</MenuItem>
        </Field>
        <Field form={form} name="unit" label="Counted in" select defaultValue="piece">
          <MenuItem value="piece">Pieces</MenuItem>
          <MenuItem value="litre">Volume</MenuItem>
        </Field>
      </div>
      <FormProvider {...form}>
        <ArticleFields kind={form.watch('kind')} unit={form.watch('unit')} />
      </FormProvider>
    </FormDialog>
  );
}

export function NewArticle() {
  return <DialogButton word="New article">{(close) => <NewArticleForm onDone={close} />}</DialogButton>;
}
