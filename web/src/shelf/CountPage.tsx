import Button from '@mui/material/Button';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { CountSheetDto } from '@yugator/contracts';
import type { ArticleDto, CountResultDto } from '@yugator/contracts';
import { byPlaces, countDifference, countTotals, roundQuantity, stockInShed, NO_SHED } from '@yugator/core';
import { useRef } from 'react';
import { useFieldArray, useWatch } from 'react-hook-form';
import type { UseFormReturn } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { useWrite } from '../api/useWrite.js';
import { Choose } from '../form/Choose.js';
import { Field } from '../form/Field.js';
import { StockField } from '../form/StockField.js';
import form_ from '../form/form.module.css';
import { useDtoForm } from '../form/useDtoForm.js';
import { Caution } from '../page/Caution.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { useNotice } from '../page/Notice.js';
import { PageHead } from '../page/PageHead.js';
import { PrintLinks } from '../page/PrintLinks.js';
import { useIsOneOf, useSession } from '../session/useSession.js';
import { useStockWords } from '../session/useStockWords.js';
import { countWords, moneyWords } from '../words/figures.js';
import { ArticlePick } from './ArticlePick.js';
import { shedChoices, useSheds } from './ShedField.js';
import styles from './shelf.module.css';
import { shelfQueries } from './shelfQueries.js';

interface LineProps {
  readonly form: UseFormReturn<CountSheetDto>;
  readonly index: number;
  readonly article: ArticleDto;
  readonly onTakeOut: () => void;
}

/** What was counted against the book; nothing while nothing is typed, so that nobody writes the book down as counted. */
function Difference({ form, index, article }: Omit<LineProps, 'onTakeOut'>) {
  const { site } = useSession();
  const stock = useStockWords();
  const { counted, booked } = useWatch({ control: form.control, name: `lines.${index}` });
  if (!Number.isFinite(counted)) return null;
  const { quantity, valueMinor } = countDifference({ counted, booked }, article.priceMinor);
  if (quantity === 0) return <span className="soft">as booked</span>;
  const more = quantity > 0 ? 'more' : 'fewer';
  const words = article.unit === 'litre' && quantity < 0 ? 'less' : more;
  return (
    <span>
      {stock(Math.abs(quantity), article.unit)} {words} than booked,{' '}
      {moneyWords(Math.abs(valueMinor), site.currency)}
    </span>
  );
}

function Line({ form, index, article, onTakeOut }: LineProps) {
  return (
    <div className={styles.counted} role="group" aria-label={article.name}>
      <span>
        <b>{article.name}</b>
        <span className="soft"> {[article.number, article.place].filter(Boolean).join(' · ')}</span>
      </span>
      <StockField
        form={form}
        name={`lines.${index}.counted`}
        unit={article.unit}
        label="Counted"
        ariaLabel={`Counted of ${article.name}`}
      />
      <Difference form={form} index={index} article={article} />
      <Button variant="text" size="small" onClick={onTakeOut} aria-label={`Take out ${article.name}`}>
        Take out
      </Button>
    </div>
  );
}

/** What the count comes to so far. */
function Totals({ form, articles }: { form: UseFormReturn<CountSheetDto>; articles: readonly ArticleDto[] }) {
  const { site } = useSession();
  const lines = useWatch({ control: form.control, name: 'lines' });
  const prices = new Map(articles.map(({ id, priceMinor }) => [id, priceMinor]));
  const counted = lines.filter((line) => Number.isFinite(line.counted));
  const { missing, besides } = countTotals(
    counted.map((line) => countDifference(line, prices.get(line.articleId) ?? 0)),
  );
  return (
    <p>
      {countWords(counted.length, 'article')} counted; missing {moneyWords(missing, site.currency)}, there
      besides the book {moneyWords(besides, site.currency)}.
    </p>
  );
}

const NO_PLACE = 'none';

function CountForm({ articles }: { articles: readonly ArticleDto[] }) {
  const { site } = useSession();
  const say = useNotice();
  const navigate = useNavigate();
  const client = useQueryClient();
  const sheds = useSheds();
  const form = useDtoForm<CountSheetDto>(CountSheetDto, { lines: [], note: '' }, 'onSubmit');
  const shed = useWatch({ control: form.control, name: 'shed' });
  const { fields, append, remove } = useFieldArray({ control: form.control, name: 'lines' });
  const scanField = useRef<HTMLInputElement>(null);
  const byId = new Map(articles.map((article) => [article.id, article]));
  const places = byPlaces(articles).flatMap(({ place }) => place || []);
  const isAsked = sheds.length > 0 && shed === undefined;
  const bookedOf = (article: ArticleDto, where = form.getValues('shed')) =>
    sheds.length ? stockInShed(article.sheds, where || null) : article.onHand;
  const lineOf = (article: ArticleDto, counted: number) => ({
    articleId: article.id,
    counted,
    booked: bookedOf(article),
  });
  const take = (article: ArticleDto) => {
    const at = form.getValues('lines').findIndex(({ articleId }) => articleId === article.id);
    // Each scan of a piece is one more of it; how much there is of a fluid is read off and typed.
    if (at < 0) append(lineOf(article, article.unit === 'piece' ? 1 : NaN), { shouldFocus: false });
    else if (article.unit === 'piece') {
      const before = form.getValues(`lines.${at}.counted`);
      form.setValue(`lines.${at}.counted`, roundQuantity((Number.isFinite(before) ? before : 0) + 1));
    }
  };
  // What was counted so far stays, held against the book of the shed in which it is counted.
  const countIn = (where: string) => {
    form.setValue('shed', where);
    for (const [at, { articleId }] of form.getValues('lines').entries()) {
      const article = byId.get(articleId);
      if (article) form.setValue(`lines.${at}.booked`, bookedOf(article, where));
    }
  };
  const takePlace = (place: string) => {
    const known = new Set(form.getValues('lines').map(({ articleId }) => articleId));
    const own = byPlaces(articles).find((each) => each.place === place)?.articles ?? [];
    append(
      own.filter(({ id }) => !known.has(id)).map((each) => lineOf(each, NaN)),
      { shouldFocus: false },
    );
  };
  const book = useWrite<CountResultDto, CountSheetDto>(
    (body) => ({ method: 'POST', path: '/counts', body }),
    ['shelf'],
    ({ counted, differing, missingMinor }) => {
      const missing = missingMinor > 0 ? `, ${moneyWords(missingMinor, site.currency)} missing` : '';
      say(`${countWords(counted, 'article')} counted, ${differing} put right${missing}.`);
      void navigate('/shelf');
    },
  );
  const refuse = (error: Error) => {
    form.refuse(error);
    void lookAgain();
  };
  // What moved meanwhile is told at its line; counted again, it is held against the book of now.
  const lookAgain = async () => {
    const now = await client.fetchQuery({ ...shelfQueries.list(), staleTime: 0 });
    const onHand = new Map(now.map((article) => [article.id, bookedOf(article)]));
    for (const [at, { articleId, booked }] of form.getValues('lines').entries())
      form.setValue(`lines.${at}.booked`, onHand.get(articleId) ?? booked);
  };
  return (
    <form
      className={form_.form}
      noValidate
      onKeyDown={(event) => {
        // Enter after a figure goes back to the next scan; a count is booked by its button alone.
        if (event.key !== 'Enter' || !(event.target instanceof HTMLInputElement)) return;
        event.preventDefault();
        scanField.current?.focus();
      }}
      onSubmit={(event) => {
        event.preventDefault();
        if (!book.isPending)
          void form.handleSubmit((values) => book.mutate({ ...values }, { onError: refuse }))();
      }}
    >
      {form.problem ? <Caution title="Not booked">{<p>{form.problem}</p>}</Caution> : null}
      {sheds.length ? (
        <Choose<string>
          label="In which shed"
          size="small"
          sx={{ minWidth: 260, marginBottom: '12px' }}
          value={shed ?? NO_PLACE}
          choices={[
            ...(shed === undefined ? [[NO_PLACE, 'choose a shed'] as const] : []),
            ...shedChoices(
              sheds,
              articles.flatMap((article) => article.sheds),
            ).map((each) => [each, each || NO_SHED] as const),
          ]}
          onChange={(where) => (where === NO_PLACE ? undefined : countIn(where))}
        />
      ) : null}
      {isAsked ? (
        <p className="soft">Say first in which shed you count: what the book says is of one shed.</p>
      ) : (
        <div className={form_.grid}>
          <ArticlePick
            label="Scan, or look for"
            articles={articles}
            value={null}
            hint="Each scan of a piece counts one more of it"
            onPick={take}
            autoFocus
            inputRef={scanField}
          />
          {places.length ? (
            <Choose<string>
              label="All of a place"
              size="small"
              value={NO_PLACE}
              choices={[[NO_PLACE, 'choose a place'], ...places.map((place) => [place, place] as const)]}
              onChange={(place) => (place === NO_PLACE ? undefined : takePlace(place))}
            />
          ) : null}
        </div>
      )}
      {fields.map((field, index) => {
        const article = byId.get(field.articleId);
        return article ? (
          <Line key={field.id} form={form} index={index} article={article} onTakeOut={() => remove(index)} />
        ) : null;
      })}
      {fields.length ? (
        <>
          <Totals form={form} articles={articles} />
          <Field form={form} name="note" label="Note" />
          <div className={form_.acts}>
            <Button type="submit" variant="contained" color="primary" size="large" loading={book.isPending}>
              Book the count
            </Button>
          </div>
        </>
      ) : isAsked ? null : (
        <p className="soft">
          Nothing is counted yet. What the book says is shown once you have typed what is there.
        </p>
      )}
    </form>
  );
}

/** Counts the shelf, article by article as they are scanned or place by place; booked all at once. */
export function CountPage() {
  const { data, error, refetch } = useQuery(shelfQueries.list());
  const mayCount = useIsOneOf('crewLead', 'mechanic');
  if (!data) return error ? <Failed error={error} again={refetch} /> : <Loading />;
  const articles = data.filter(({ isRetired, onHand }) => !isRetired || onHand !== 0);
  return (
    <>
      <PageHead
        name="Count the shelf"
        title="Count the shelf"
        under="What lies there counts, not what the book says"
      >
        {mayCount ? <PrintLinks word="A sheet to write on" path="/shelf-paper/count.pdf" /> : null}
      </PageHead>
      {mayCount ? <CountForm articles={articles} /> : <p>Mechanics and the crew lead count the shelf.</p>}
    </>
  );
}
