import Button from '@mui/material/Button';
import { SettleShedDto } from '@yugator/contracts';
import type { ArticleDto } from '@yugator/contracts';
import { useWrite } from '../api/useWrite.js';
import form_ from '../form/form.module.css';
import { useDtoForm } from '../form/useDtoForm.js';
import { useNotice } from '../page/Notice.js';
import { countWords } from '../words/figures.js';
import { ShedField, useSheds } from './ShedField.js';

/** Says of all that lies where nobody said in which shed; nothing while that is none, or the site has one shed. */
export function SettleShed({ articles }: { articles: readonly ArticleDto[] }) {
  const sheds = useSheds();
  const unsaid = articles.filter((article) => article.sheds.some(({ shed }) => shed === null)).length;
  if (sheds.length === 0 || unsaid === 0) return null;
  return <SettleForm key={sheds[0]} sheds={sheds} unsaid={unsaid} />;
}

function SettleForm({ sheds, unsaid }: { sheds: readonly string[]; unsaid: number }) {
  const say = useNotice();
  const form = useDtoForm<SettleShedDto>(SettleShedDto, { shed: sheds[0] ?? '' });
  const settle = useWrite<unknown, SettleShedDto>(
    (body) => ({ method: 'POST', path: '/stock-sheds/settled', body }),
    ['shelf'],
    () => say('It is said in which shed all of it lies.'),
  );
  return (
    <form
      className={form_.form}
      aria-label="Where it lies"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void form.handleSubmit((values) => settle.mutate(values, { onError: form.refuse }))();
      }}
    >
      <p>
        Of {countWords(unsaid, 'article')} nobody said in which shed they lie. Say it for all of them, then
        take to the other shed what lies there.
      </p>
      {form.problem ? <p role="alert">{form.problem}</p> : null}
      <div className={form_.acts}>
        <ShedField form={form} name="shed" label="All of it lies in" choices={sheds} />
        <Button type="submit" variant="contained" color="primary" loading={settle.isPending}>
          It lies there
        </Button>
      </div>
    </form>
  );
}
