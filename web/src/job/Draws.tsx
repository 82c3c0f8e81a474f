import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import type { JobDrawDto, SignOffDto } from '@yugator/contracts';
import { useFieldArray } from 'react-hook-form';
import type { UseFormReturn } from 'react-hook-form';
import { StockField } from '../form/StockField.js';
import { shelfQueries } from '../shelf/shelfQueries.js';
import styles from './job.module.css';
import { knownArticles } from './knownArticles.js';
import { LeftOvers } from './LeftOvers.js';
import { useStockWords } from '../session/useStockWords.js';

/** What the job used from the shelf: proposed from its items, corrected by hand. */
export function Draws({
  form,
  proposed,
}: {
  form: UseFormReturn<SignOffDto>;
  proposed: readonly JobDrawDto[];
}) {
  const shelf = useQuery(shelfQueries.list());
  const stock = useStockWords();
  const { fields, append, remove } = useFieldArray({ control: form.control, name: 'draws' });
  const known = knownArticles(proposed, shelf.data);
  const others = (shelf.data ?? []).filter(
    (article) => !fields.some((field) => field.articleId === article.id),
  );
  return (
    <fieldset className={styles.draws}>
      <legend>Used from the shelf</legend>
      {fields.length === 0 ? <p className="soft">Nothing.</p> : null}
      {fields.map((field, index) => {
        const article = known.get(field.articleId);
        const unit = article?.unit ?? 'piece';
        const kit = shelf.data?.find(({ id }) => id === field.articleId);
        return (
          <div key={field.id} className={styles.draw}>
            <span>
              {article?.name ?? 'An article no longer on the shelf'}
              <span className={styles.small}>{stock(article?.onHand ?? 0, unit)} on hand</span>
            </span>
            <StockField
              form={form}
              name={`draws.${index}.quantity`}
              unit={unit}
              label={unit === 'litre' ? 'Used' : 'Pieces'}
              ariaLabel={`${unit === 'litre' ? 'How much' : 'Pieces'} of ${article?.name ?? 'article'}`}
            />
            <Button
              variant="text"
              size="small"
              onClick={() => remove(index)}
              aria-label={`Take out ${article?.name ?? 'article'}`}
            >
              Take out
            </Button>
            {kit?.contents.length ? <LeftOvers form={form} kit={kit} index={index} /> : null}
          </div>
        );
      })}
      {others.length ? (
        <TextField
          select
          label="Add an article"
          value=""
          onChange={(event) => append({ articleId: event.target.value, quantity: 1 })}
          helperText={
            shelf.error ? 'The shelf could not be read; sign off and correct it there later.' : undefined
          }
        >
          {others.map((article) => (
            <MenuItem key={article.id} value={article.id}>
              {article.name} ({stock(article.onHand, article.unit)})
            </MenuItem>
          ))}
        </TextField>
      ) : null}
    </fieldset>
  );
}
