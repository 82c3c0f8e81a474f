import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { UpdateArticleDto } from '@yugator/contracts';
import type { ArticleDto } from '@yugator/contracts';
import { kitValues } from '@yugator/core';
import { FormProvider, useFieldArray, useWatch } from 'react-hook-form';
import type { UseFormReturn } from 'react-hook-form';
import { useWrite } from '../api/useWrite.js';
import { CheckField } from '../form/CheckField.js';
import { DialogButton } from '../form/DialogButton.js';
import { Field } from '../form/Field.js';
import { FormDialog } from '../form/FormDialog.js';
import { StockField } from '../form/StockField.js';
import { useDtoForm } from '../form/useDtoForm.js';
import { useNotice } from '../page/Notice.js';
import { useIsOneOf, useSession } from '../session/useSession.js';
import { moneyWords } from '../words/figures.js';
import { ArticleFields } from './ArticleFields.js';
import { ArticlePhoto } from './ArticlePhoto.js';
import { ArticlePick } from './ArticlePick.js';
import { fieldsOf } from './articleForm.js';
import { MergeArticle } from './MergeArticle.js';
import styles from './shelf.module.css';
import { shelfQueries } from './shelfQueries.js';

interface PartsProps {
  readonly form: UseFormReturn<UpdateArticleDto>;
  readonly articles: readonly ArticleDto[];
}

/** What a kit holds, and what each of it is worth out of the kit's price. */
function Contents({ form, articles }: PartsProps) {
  const { site } = useSession();
  const { fields, append, remove } = useFieldArray({ control: form.control, name: 'contents' });
  const [contents, priceMinor] = useWatch({ control: form.control, name: ['contents', 'priceMinor'] });
  const known = new Map(articles.map((article) => [article.id, article]));
  const parts = contents.map(({ articleId, quantity }) => ({
    articleId,
    quantity: Number.isFinite(quantity) ? quantity : 0,
    priceMinor: known.get(articleId)?.priceMinor ?? 0,
  }));
  const values = kitValues(Number.isFinite(priceMinor) ? priceMinor : 0, parts);
  const loose = parts.reduce((sum, part) => sum + part.quantity * part.priceMinor, 0);
  const others = articles.filter(
    ({ id, kind }) => kind !== 'kit' && !fields.some((each) => each.articleId === id),
  );
  return (
    <fieldset className={styles.contents}>
      <legend>What one kit holds</legend>
      {fields.length === 0 ? <p className="soft">Nothing is said yet: it is used whole.</p> : null}
      {fields.map((field, index) => {
        const article = known.get(field.articleId);
        const name = article?.name ?? 'An article no longer on the shelf';
        return (
          <div key={field.id} className={styles.part}>
            <span>
              {name}
              <span className="soft"> worth {moneyWords(values[index] ?? 0, site.currency)} of it</span>
            </span>
            <StockField
              form={form}
              name={`contents.${index}.quantity`}
              unit={article?.unit ?? 'piece'}
              label={article?.unit === 'litre' ? 'How much' : 'Pieces'}
              ariaLabel={`${article?.unit === 'litre' ? 'How much' : 'Pieces'} of ${name}`}
            />
            <Button variant="text" size="small" onClick={() => remove(index)} aria-label={`Take out ${name}`}>
              Take out
            </Button>
          </div>
        );
      })}
      {others.length ? (
        <ArticlePick
          label="It holds"
          articles={others}
          value={null}
          hint="By name, number, or scan its code"
          onPick={({ id }) => append({ articleId: id, quantity: 1 })}
        />
      ) : null}
      {fields.length ? (
        <p className="soft">
          Loose it would be {moneyWords(Math.round(loose), site.currency)}. What a job does not use goes back
          on the shelf at its share of the kit.
        </p>
      ) : null}
    </fieldset>
  );
}

function EditForm({ article, onDone }: { article: ArticleDto; onDone: () => void }) {
  const say = useNotice();
  const isLead = useIsOneOf('crewLead');
  const { data = [] } = useQuery(shelfQueries.list());
  const { contents, version, kind, unit, isRetired } = article;
  const form = useDtoForm<UpdateArticleDto>(
    UpdateArticleDto,
    {
      ...fieldsOf(article),
      isRetired,
      version,
      contents: contents.map(({ articleId, quantity }) => ({ articleId, quantity })),
    },
    'onSubmit',
  );
  const update = useWrite<ArticleDto, UpdateArticleDto>(
    (body) => ({ method: 'PUT', path: `/articles/${article.id}`, body }),
    ['shelf'],
    (now) => {
      say(`${now.name} is changed.`);
      onDone();
    },
  );
  return (
    <FormDialog
      title={`Change ${article.name}`}
      problem={form.problem}
      submitWord="Keep"
      pending={update.isPending}
      onSubmit={form.handleSubmit((values) => update.mutate({ ...values }, { onError: form.refuse }))}
      onLeave={onDone}
    >
      <Field form={form} name="name" label="Name" autoFocus />
      <FormProvider {...form}>
        <ArticleFields kind={kind} unit={unit} />
      </FormProvider>
      {kind === 'kit' ? <Contents form={form} articles={data} /> : null}
      <CheckField form={form} name="isRetired" label="No longer bought: what is left is used up" />
      <ArticlePhoto article={article} />
      {isLead ? (
        <div>
          <MergeArticle article={article} />
        </div>
      ) : null}
    </FormDialog>
  );
}

/** Changes an article: its name, price and least, and what a kit holds. */
export function EditArticle({ article }: { article: ArticleDto }) {
  return (
    <DialogButton word="Change" size="small" variant="text" label={`Change: ${article.name}`}>
      {(close) => <EditForm key={article.version} article={article} onDone={close} />}
    </DialogButton>
  );
}
