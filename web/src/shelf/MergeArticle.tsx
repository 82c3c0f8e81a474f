import { useQuery } from '@tanstack/react-query';
import { MergeArticleDto } from '@yugator/contracts';
import type { ArticleDto } from '@yugator/contracts';
import { useController } from 'react-hook-form';
import { useWrite } from '../api/useWrite.js';
import { DialogButton } from '../form/DialogButton.js';
import { FormDialog } from '../form/FormDialog.js';
import { useDtoForm } from '../form/useDtoForm.js';
import { useNotice } from '../page/Notice.js';
import { useStockWords } from '../session/useStockWords.js';
import { ArticlePick } from './ArticlePick.js';
import { shelfQueries } from './shelfQueries.js';

function MergeForm({ article, onDone }: { article: ArticleDto; onDone: () => void }) {
  const say = useNotice();
  const stock = useStockWords();
  const { data = [] } = useQuery(shelfQueries.list());
  const form = useDtoForm<MergeArticleDto>(
    MergeArticleDto,
    { intoId: '', version: article.version, intoVersion: 1 },
    'onSubmit',
  );
  const merge = useWrite<ArticleDto, MergeArticleDto>(
    (body) => ({ method: 'POST', path: `/articles/${article.id}/merge`, body }),
    ['shelf', 'machines', 'jobs'],
    ({ name }) => {
      say(`${article.name} is one with ${name} now.`);
      onDone();
    },
  );
  const { field, fieldState } = useController({ control: form.control, name: 'intoId' });
  const intoId = field.value;
  const into = data.find(({ id }) => id === intoId);
  const others = data.filter(
    ({ id, kind, unit }) => id !== article.id && kind === article.kind && unit === article.unit,
  );
  return (
    <FormDialog
      title={`${article.name} was entered twice`}
      problem={form.problem}
      problemTitle="Not merged"
      submitWord="Make them one"
      pending={merge.isPending}
      onSubmit={form.handleSubmit((values) => merge.mutate({ ...values }, { onError: form.refuse }))}
      onLeave={onDone}
    >
      <ArticlePick
        label="It is one with"
        articles={others}
        value={intoId || null}
        hint="By name, number, or scan its code"
        fault={fieldState.error?.message}
        onPick={({ id, version }) => {
          field.onChange(id);
          form.setValue('intoVersion', version);
        }}
        autoFocus
      />
      {into ? (
        <p>
          <b>{into.name}</b> stays, with {stock(into.onHand + article.onHand, into.unit)} on hand. What was
          used of both, which machines they fit, kits, prices and orders are its own from then on; the numbers
          of both find it. <b>This cannot be taken back.</b>
        </p>
      ) : null}
    </FormDialog>
  );
}

/** Says that an article was entered twice: both become one. */
export function MergeArticle({ article }: { article: ArticleDto }) {
  return (
    <DialogButton word="Entered twice" size="small" variant="text" label={`Entered twice: ${article.name}`}>
      {(close) => <MergeForm article={article} onDone={close} />}
    </DialogButton>
  );
}
