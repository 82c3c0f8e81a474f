import TextField from '@mui/material/TextField';
import type { ArticleDto, KitPartDto, SignOffDto } from '@yugator/contracts';
import { roundQuantity } from '@yugator/core';
import { useWatch } from 'react-hook-form';
import type { UseFormReturn } from 'react-hook-form';
import { Choose } from '../form/Choose.js';
import { QuantityInput } from '../form/QuantityInput.js';
import { useStockWords } from '../session/useStockWords.js';
import { parseFigure } from '../words/figures.js';
import styles from './job.module.css';

/** Of few pieces one is chosen, as of most kits; more are typed. */
const MOST_CHOICES = 12;

interface PartProps {
  readonly part: KitPartDto;
  /** what the opened kits held of it */
  readonly held: number;
  readonly left: number;
  readonly onLeft: (left: number) => void;
}

function PartLeft({ part, held, left, onLeft }: PartProps) {
  const stock = useStockWords();
  const label = `Left: ${part.name}`;
  if (part.unit === 'litre')
    return (
      <QuantityInput
        label={label}
        dimension="volume"
        keptDecimals={3}
        value={left || null}
        onChange={(litres) => onLeft(litres ?? 0)}
      />
    );
  if (held > MOST_CHOICES)
    return (
      <TextField
        label={`${label}, of ${stock(held, 'piece')}`}
        defaultValue={left || ''}
        onChange={({ target }) => onLeft(target.value.trim() === '' ? 0 : parseFigure(target.value))}
        slotProps={{ htmlInput: { inputMode: 'decimal', autoComplete: 'off', className: 'fig' } }}
      />
    );
  const pieces = Array.from({ length: held + 1 }, (_, count) => String(count));
  return (
    <Choose<string>
      label={label}
      value={String(left)}
      choices={pieces.map((count) => [count, count === '0' ? 'none' : `${count} of ${stock(held, 'piece')}`])}
      onChange={(count) => onLeft(Number(count))}
    />
  );
}

interface Props {
  readonly form: UseFormReturn<SignOffDto>;
  readonly kit: ArticleDto;
  /** the place of its draw in the form */
  readonly index: number;
}

/** What a job did not use of the kits that it opened: it goes back on the shelf as loose parts, at its share of the kit's price. */
export function LeftOvers({ form, kit, index }: Props) {
  const draw = useWatch({ control: form.control, name: `draws.${index}` });
  const left = draw.left ?? [];
  const kits = Number.isInteger(draw.quantity) ? draw.quantity : 1;
  const say = (articleId: string, quantity: number) => {
    const others = left.filter((each) => each.articleId !== articleId);
    // What cannot be read is kept as such, and refused where it stands.
    const next = quantity === 0 ? others : [...others, { articleId, quantity }];
    form.setValue(`draws.${index}.left`, next, { shouldDirty: true });
  };
  return (
    <details className={styles.leftOvers} open={left.length > 0 || undefined}>
      <summary>Anything left of it? It goes back on the shelf</summary>
      <div>
        {kit.contents.map((part) => (
          <PartLeft
            key={part.articleId}
            part={part}
            held={roundQuantity(kits * part.quantity)}
            left={left.find(({ articleId }) => articleId === part.articleId)?.quantity ?? 0}
            onLeft={(quantity) => say(part.articleId, quantity)}
          />
        ))}
      </div>
    </details>
  );
}
