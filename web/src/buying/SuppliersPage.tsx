import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { CreateSupplierDto, UpdateSupplierDto } from '@yugator/contracts';
import type { ArticleDto, SupplierDto } from '@yugator/contracts';
import { useFieldArray } from 'react-hook-form';
import type { UseFormReturn } from 'react-hook-form';
import { useWrite } from '../api/useWrite.js';
import { CheckField } from '../form/CheckField.js';
import { DialogButton } from '../form/DialogButton.js';
import { Field } from '../form/Field.js';
import form_ from '../form/form.module.css';
import { FormDialog } from '../form/FormDialog.js';
import { MoneyField } from '../form/MoneyField.js';
import { StockField } from '../form/StockField.js';
import { useDtoForm } from '../form/useDtoForm.js';
import { Empty } from '../page/Empty.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { useNotice } from '../page/Notice.js';
import { PageHead } from '../page/PageHead.js';
import table from '../page/table.module.css';
import { useIsOneOf, useSession } from '../session/useSession.js';
import { useStockWords } from '../session/useStockWords.js';
import { ArticlePick } from '../shelf/ArticlePick.js';
import { shelfQueries } from '../shelf/shelfQueries.js';
import shelf from '../shelf/shelf.module.css';
import { countWords, moneyWords } from '../words/figures.js';
import styles from './buying.module.css';
import { buyingQueries } from './buyingQueries.js';

/** Name, lead time and carriage; of a new supplier and of one that is known. */
function SupplierFields<T extends CreateSupplierDto>({ form: typed }: { form: UseFormReturn<T> }) {
  const { site } = useSession();
  // Every form of a supplier has these fields.
  const form = typed as unknown as UseFormReturn<CreateSupplierDto>;
  return (
    <>
      <Field form={form} name="name" label="Name" autoFocus />
      <div className={form_.grid}>
        <Field form={form} name="leadDays" label="Days from order to shelf" figure />
        <MoneyField form={form} name="carriageMinor" label="Carriage of an order" currency={site.currency} />
        <MoneyField
          form={form}
          name="freeFromMinor"
          label="Carried free from"
          currency={site.currency}
          mayBeEmpty
          hint="Leave it empty if never"
        />
      </div>
      <Field form={form} name="note" label="Note" />
    </>
  );
}

function NewSupplierForm({ onDone }: { onDone: () => void }) {
  const say = useNotice();
  const form = useDtoForm<CreateSupplierDto>(CreateSupplierDto, {
    name: '',
    leadDays: 2,
    carriageMinor: 0,
    freeFromMinor: null,
    note: '',
  });
  const create = useWrite<SupplierDto, CreateSupplierDto>(
    (body) => ({ method: 'POST', path: '/suppliers', body }),
    ['shelf'],
    ({ name }) => {
      say(`${name} is taken in; now say what it sells.`);
      onDone();
    },
  );
  return (
    <FormDialog
      title="A new supplier"
      problem={form.problem}
      submitWord="Take it in"
      pending={create.isPending}
      onSubmit={form.handleSubmit((values) => create.mutate(values, { onError: form.refuse }))}
      onLeave={onDone}
    >
      <SupplierFields form={form} />
    </FormDialog>
  );
}

/** What a supplier sells: article by article, in which pack, at what price. */
function Offers({
  form,
  articles,
}: {
  form: UseFormReturn<UpdateSupplierDto>;
  articles: readonly ArticleDto[];
}) {
  const { site } = useSession();
  const { fields, append, remove } = useFieldArray({ control: form.control, name: 'offers' });
  const byId = new Map(articles.map((article) => [article.id, article]));
  return (
    <fieldset className={shelf.contents}>
      <legend>What it sells</legend>
      {fields.length === 0 ? <p className="soft">Nothing is said yet.</p> : null}
      {fields.map((field, index) => {
        const article = byId.get(field.articleId);
        const name = article?.name ?? 'An article no longer on the shelf';
        return (
          <div key={field.id} className={styles.offer} role="group" aria-label={`${name}, ${index + 1}`}>
            <span>{name}</span>
            <Field form={form} name={`offers.${index}.number`} label="Their number" />
            <StockField
              form={form}
              name={`offers.${index}.pack`}
              unit={article?.unit ?? 'piece'}
              label={article?.unit === 'litre' ? 'Holds' : 'Pieces'}
            />
            <MoneyField
              form={form}
              name={`offers.${index}.priceMinor`}
              label="Price"
              currency={site.currency}
            />
            <Field form={form} name={`offers.${index}.leadDays`} label="Days" figure="optional" />
            <Button variant="text" size="small" onClick={() => remove(index)} aria-label={`Take out ${name}`}>
              Take out
            </Button>
          </div>
        );
      })}
      <ArticlePick
        label="It sells"
        articles={articles}
        value={null}
        hint="By name, number, or scan its code"
        onPick={({ id, priceMinor }) =>
          append({ articleId: id, number: '', pack: 1, priceMinor, leadDays: null }, { shouldFocus: false })
        }
      />
    </fieldset>
  );
}

function EditForm({ supplier, onDone }: { supplier: SupplierDto; onDone: () => void }) {
  const say = useNotice();
  const { data = [] } = useQuery(shelfQueries.list());
  const { id, name, leadDays, carriageMinor, freeFromMinor, note, isRetired, version, offers } = supplier;
  const form = useDtoForm<UpdateSupplierDto>(
    UpdateSupplierDto,
    {
      name,
      leadDays,
      carriageMinor,
      freeFromMinor,
      note,
      isRetired,
      version,
      offers: offers.map(({ articleId, number, pack, priceMinor, leadDays: days }) => ({
        articleId,
        number,
        pack,
        priceMinor,
        leadDays: days,
      })),
    },
    'onSubmit',
  );
  const update = useWrite<SupplierDto, UpdateSupplierDto>(
    (body) => ({ method: 'PUT', path: `/suppliers/${id}`, body }),
    ['shelf'],
    (now) => {
      say(`${now.name} is changed.`);
      onDone();
    },
  );
  return (
    <FormDialog
      title={`Change ${name}`}
      problem={form.problem}
      submitWord="Keep"
      pending={update.isPending}
      onSubmit={form.handleSubmit((values) => update.mutate(values, { onError: form.refuse }))}
      onLeave={onDone}
    >
      <SupplierFields form={form} />
      <Offers form={form} articles={data} />
      <CheckField form={form} name="isRetired" label="No longer bought from" />
    </FormDialog>
  );
}

function Row({ supplier, mayChange }: { supplier: SupplierDto; mayChange: boolean }) {
  const { site } = useSession();
  const stock = useStockWords();
  const { carriageMinor, freeFromMinor, leadDays, offers } = supplier;
  return (
    <tr>
      <td>
        <b>{supplier.name}</b>
        {supplier.isRetired ? <span className="soft"> no longer bought from</span> : null}
        {supplier.note ? <div className="soft">{supplier.note}</div> : null}
        {offers.length ? (
          <details>
            <summary className="soft">Sells {countWords(offers.length, 'article')}</summary>
            <ul style={{ margin: '6px 0', paddingLeft: 18 }}>
              {offers.map((offer) => (
                <li key={`${offer.articleId} ${offer.pack}`}>
                  {offer.name}
                  {offer.pack === 1 && offer.unit === 'piece'
                    ? ''
                    : `, ${stock(offer.pack, offer.unit)}`}:{' '}
                  {moneyWords(offer.priceMinor, site.currency)}
                </li>
              ))}
            </ul>
          </details>
        ) : null}
      </td>
      <td className={table.number} data-label="Days:">
        {leadDays}
      </td>
      <td data-label="Carriage:">
        {carriageMinor ? moneyWords(carriageMinor, site.currency) : 'none'}
        {carriageMinor && freeFromMinor ? `, free from ${moneyWords(freeFromMinor, site.currency)}` : ''}
      </td>
      <td>
        {mayChange ? (
          <DialogButton word="Change" size="small" variant="text" label={`Change: ${supplier.name}`}>
            {(close) => <EditForm key={supplier.version} supplier={supplier} onDone={close} />}
          </DialogButton>
        ) : null}
      </td>
    </tr>
  );
}

/** Where things are bought, in what packs, at what price. */
export function SuppliersPage() {
  const { data, error, refetch } = useQuery(buyingQueries.suppliers());
  const mayChange = useIsOneOf('crewLead', 'mechanic');
  if (!data) return error ? <Failed error={error} again={refetch} /> : <Loading />;
  return (
    <>
      <PageHead
        name="Suppliers"
        title="Suppliers"
        under="What they sell, in what packs, how soon and at what price"
      >
        {mayChange ? (
          <DialogButton word="New supplier">{(close) => <NewSupplierForm onDone={close} />}</DialogButton>
        ) : null}
      </PageHead>
      {data.length === 0 ? (
        <Empty title="No supplier yet.">{<p>Take in the first above, then say what it sells.</p>}</Empty>
      ) : (
        <table className={table.table}>
          <thead>
            <tr>
              <th style={{ width: '55%' }}>Supplier</th>
              <th className={table.number}>Days</th>
              <th>Carriage</th>
              <th>
                <span className="visually-hidden">Change</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {data.map((supplier) => (
              <Row key={supplier.id} supplier={supplier} mayChange={mayChange} />
            ))}
          </tbody>
        </table>
      )}
    </>
  );
}
