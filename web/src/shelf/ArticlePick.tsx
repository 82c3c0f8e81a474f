import Autocomplete from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';
import type { ArticleDto } from '@yugator/contracts';
import { useState } from 'react';
import type { Ref } from 'react';
import { enterStays } from '../form/enterStays.js';
import { useStockWords } from '../session/useStockWords.js';
import { found } from './foundArticles.js';

interface Props {
  readonly label: string;
  readonly articles: readonly ArticleDto[];
  /** the id of what is chosen; null where nothing is, and where each choice is taken away at once */
  readonly value: string | null;
  readonly onPick: (article: ArticleDto) => void;
  readonly fault?: string | undefined;
  readonly hint?: string | undefined;
  readonly autoFocus?: boolean;
  readonly inputRef?: Ref<HTMLInputElement>;
}

/** Picks an article of the shelf: by any word of its name or place, by its numbers, or by scanning its code. */
export function ArticlePick({ label, articles, value, onPick, fault, hint, autoFocus, inputRef }: Props) {
  const stock = useStockWords();
  const [typed, setTyped] = useState('');
  const chosen = articles.find(({ id }) => id === value) ?? null;
  return (
    <Autocomplete
      size="small"
      // A scanner types the code and Enter: what stands first is taken.
      autoHighlight
      options={[...articles]}
      value={chosen}
      inputValue={typed}
      onInputChange={(_event, text) => setTyped(text)}
      onChange={(_event, article) => {
        if (!article) return;
        onPick(article);
        if (value === null) setTyped('');
      }}
      isOptionEqualToValue={(a, b) => a.id === b.id}
      getOptionKey={({ id }) => id}
      getOptionLabel={({ name }) => name}
      filterOptions={(all, { inputValue }) => found(all, inputValue)}
      renderOption={({ key, ...props }, { name, number, onHand, unit }) => (
        <li key={key} {...props}>
          <span>
            {name}
            <span className="soft">
              {number ? ` ${number},` : ','} {stock(onHand, unit)}
            </span>
          </span>
        </li>
      )}
      noOptionsText="Nothing of that name, number or code stands on the shelf."
      renderInput={(params) => (
        <TextField
          {...params}
          label={label}
          onKeyDown={enterStays}
          error={fault !== undefined}
          helperText={fault ?? hint}
          autoFocus={autoFocus ?? false}
          inputRef={inputRef}
        />
      )}
    />
  );
}
