import Button from '@mui/material/Button';
import FormHelperText from '@mui/material/FormHelperText';
import { useQuery } from '@tanstack/react-query';
import type { ArticleDto, JobDrawDto, SignOffDto } from '@yugator/contracts';
import { lazy, Suspense } from 'react';
import { useFieldArray, useWatch } from 'react-hook-form';
import type { UseFormReturn } from 'react-hook-form';
import { StockField } from '../form/StockField.js';
import { Loading } from '../page/Loading.js';
import { shelfQueries } from '../shelf/shelfQueries.js';
import styles from './job.module.css';
import { knownArticles } from './knownArticles.js';
import type { KnownArticle } from './knownArticles.js';
import { LeftOvers } from './LeftOvers.js';
import { useStockWords } from '../session/useStockWords.js';

interface DrawProps {
  readonly form: UseFormReturn<SignOffDto>;
  readonly index: number;
  readonly article: KnownArticle | undefined;
  /** as it stands on the shelf, with what it holds */
  readonly kit: ArticleDto | undefined;
  readonly onTakeOut: () => void;
}

// The list that is searched comes after the sheet can be read.
const ArticlePick = lazy(async () => ({ default: (await import('../shelf/ArticlePick.js')).ArticlePick }));

/** What the server refuses of the article itself. */
function WhatIsWrong({ form, index }: Pick<DrawProps, 'form' | 'index'>) {
  const fault = form.formState.errors.draws?.[index]?.articleId?.message;
  return fault ? (
    <FormHelperText error component="span">
      {fault}
    </FormHelperText>
  ) : null;
}

/** More than is there is drawn all the same: the work was done. */
function Beyond({ form, index, onHand }: Pick<DrawProps, 'form' | 'index'> & { onHand: number }) {
  const quantity = useWatch({ control: form.control, name: `draws.${index}.quantity` });
  if (!(quantity > Math.max(0, onHand))) return null;
  return (
    <span className={styles.small}>
      More than the book says is there. It is booked all the same, and the shelf asks for a count.
    </span>
  );
}

/** One article that the job used, how much of it, and of a kit what is left. */
function Draw({ form, index, article, kit, onTakeOut }: DrawProps) {
  const stock = useStockWords();
  const unit = article?.unit ?? 'piece';
  const name = article?.name ?? 'article';
  const isLitres = unit === 'litre';
  return (
    <div className={styles.draw}>
      <span>
        {article?.name ?? 'An article no longer on the shelf'}
        <span className={styles.small}>{stock(article?.onHand ?? 0, unit)} on hand</span>
        {article ? <Beyond form={form} index={index} onHand={article.onHand} /> : null}
        <WhatIsWrong form={form} index={index} />
      </span>
      <StockField
        form={form}
        name={`draws.${index}.quantity`}
        unit={unit}
        label={isLitres ? 'Used' : 'Pieces'}
        ariaLabel={`${isLitres ? 'How much' : 'Pieces'} of ${name}`}
      />
      <Button variant="text" size="small" onClick={onTakeOut} aria-label={`Take out ${name}`}>
        Take out
      </Button>
      {kit?.contents.length ? <LeftOvers form={form} kit={kit} index={index} /> : null}
    </div>
  );
}

/** What the job used from the shelf: proposed from its items, corrected by hand. */
export function Draws({
  form,
  proposed,
}: {
  form: UseFormReturn<SignOffDto>;
  proposed: readonly JobDrawDto[];
}) {
  const shelf = useQuery(shelfQueries.list());
  const { fields, append, remove } = useFieldArray({ control: form.control, name: 'draws' });
  const known = knownArticles(proposed, shelf.data);
  const others = (shelf.data ?? []).filter(
    ({ id, isRetired, onHand }) =>
      !fields.some((field) => field.articleId === id) && (!isRetired || onHand > 0),
  );
  return (
    <fieldset className={styles.draws}>
      <legend>Used from the shelf</legend>
      {fields.length === 0 ? <p className="soft">Nothing.</p> : null}
      {fields.map((field, index) => (
        <Draw
          key={field.id}
          form={form}
          index={index}
          article={known.get(field.articleId)}
          kit={shelf.data?.find(({ id }) => id === field.articleId)}
          onTakeOut={() => remove(index)}
        />
      ))}
      {others.length ? (
        <Suspense fallback={<Loading rows={1} />}>
          <ArticlePick
            label="Add an article"
            articles={others}
            value={null}
            hint={
              shelf.error
                ? 'The shelf could not be read; sign off and correct it there later.'
                : 'By name, number, or scan its code'
            }
            onPick={({ id, onHand }) => append({ articleId: id, quantity: 1, onHand })}
          />
        </Suspense>
      ) : null}
    </fieldset>
  );
}
