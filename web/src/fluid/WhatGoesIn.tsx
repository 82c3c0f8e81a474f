import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import type { ArticleDto, Found } from '@yugator/contracts';
import { isReason, judgeAt } from '@yugator/core';
import type { Component, FluidJudgement, FluidTarget } from '@yugator/core';
import { useId, useState } from 'react';
import type { KeyboardEvent } from 'react';
import { useIsOneOf } from '../session/useSession.js';
import { found as foundArticles } from '../shelf/foundArticles.js';
import { shelfQueries } from '../shelf/shelfQueries.js';
import { JudgedFluid } from './FluidVerdict.js';

/** What is kept of what was poured: words for the label, and the article where it is one of the shelf. */
const KEPT = ['poured', 'pouredId', 'pouredFor', 'pouredWhy'] as const;

interface Props {
  /** what was found at the step so far */
  readonly found: Found;
  /** what it goes into; null where that is not known */
  readonly component: Component | null;
  readonly target: FluidTarget;
  /** what fits there by the machine's card, in words */
  readonly fitting: readonly string[];
  /** what the card approves, in words */
  readonly approved: readonly string[];
  readonly onFound: (found: Found) => void;
}

function textOf(value: Found[string] | undefined): string {
  return typeof value === 'string' ? value : '';
}

function without(found: Found): Found {
  return Object.fromEntries(Object.entries(found).filter(([key]) => !KEPT.some((name) => name === key)));
}

/** A fluid of the shelf that some words name, and whether it may go in. */
interface NamedFluid {
  readonly article: ArticleDto;
  readonly component: Component;
  readonly judgement: FluidJudgement;
}

/** What is to be kept of some words; null where they name a fluid that does not belong there, without a reason that counts. */
function keptOf(words: string, named: NamedFluid | null, why: string | null): Found | null {
  if (words.trim() === '') return {};
  if (!named) return { poured: words };
  const own = { poured: words, pouredId: named.article.id, pouredFor: named.component };
  if (named.judgement.verdict !== 'stop') return own;
  return why !== null && isReason(why) ? { ...own, pouredWhy: why } : null;
}

/** What is poured: a fluid of the shelf by its name or code, what the card approves, or in words of one's own. It stands on the label. */
export function WhatGoesIn({ found, component, target, fitting, approved, onFound }: Props) {
  const { data = [] } = useQuery(shelfQueries.list());
  const isLead = useIsOneOf('crewLead');
  const offered = useId();
  // Words that are not kept stay to be seen, with why they are not.
  const [refused, setRefused] = useState<string | null>(null);
  const [why, setWhy] = useState(textOf(found['pouredWhy']));
  const shelf = data.filter(({ kind }) => kind === 'fluid');
  const words = refused ?? textOf(found['poured']);
  const namedBy = (text: string): NamedFluid | null => {
    const article = shelf.find(({ name }) => name === text);
    return article && component
      ? { article, component, judgement: judgeAt(article, component, target) }
      : null;
  };
  const judgement = namedBy(words)?.judgement;
  const say = (next: string, reason: string) => {
    const kept = keptOf(next, namedBy(next), isLead ? reason : null);
    setRefused(kept ? null : next);
    onFound({ ...without(found), ...kept });
  };
  // A scanner types the code and Enter.
  const scan = (event: KeyboardEvent) => {
    if (event.key !== 'Enter') return;
    event.preventDefault();
    const [only, ...more] = foundArticles(shelf, words);
    if (only && more.length === 0) say(only.name, why);
  };
  return (
    <>
      <TextField
        label="What goes in"
        helperText="As it stands on the can, or scan its code: it is printed on the label"
        value={words}
        onChange={({ target }) => say(target.value, why)}
        onKeyDown={scan}
        error={refused !== null}
        slotProps={{ htmlInput: { list: offered, maxLength: 80 } }}
        sx={{ maxWidth: 420, marginTop: '8px' }}
      />
      <datalist id={offered}>
        {[...new Set([...fitting, ...shelf.map(({ name }) => name), ...approved])].map((each) => (
          <option key={each} value={each} />
        ))}
      </datalist>
      {judgement ? <JudgedFluid judgement={judgement} /> : null}
      {judgement?.verdict === 'stop' && isLead ? (
        <TextField
          label="Why it goes in all the same"
          helperText="It stays in the record"
          value={why}
          onChange={({ target }) => {
            setWhy(target.value);
            say(words, target.value);
          }}
          slotProps={{ htmlInput: { maxLength: 200 } }}
          sx={{ maxWidth: 420 }}
        />
      ) : null}
      {refused !== null && !isLead ? <p>It is not kept. Fetch another, or ask the crew lead.</p> : null}
    </>
  );
}
