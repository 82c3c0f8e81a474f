import Autocomplete from '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import type { ArticleFieldsDto, ArticleKind, ArticleUnit } from '@yugator/contracts';
import { categoriesOf, componentSpec, FLUID_KIND_KEYS, FLUID_KINDS } from '@yugator/core';
import type { ComponentKind, FilterTraits, FluidTraits, PlugTraits } from '@yugator/core';
import { useFieldArray, useFormContext, useWatch } from 'react-hook-form';
import { ComponentPick } from '../component/ComponentPick.js';
import { Choose } from '../form/Choose.js';
import { Field } from '../form/Field.js';
import { enterStays } from '../form/enterStays.js';
import { MoneyField } from '../form/MoneyField.js';
import { QuantityInput } from '../form/QuantityInput.js';
import { StockField } from '../form/StockField.js';
import form_ from '../form/form.module.css';
import { useSession } from '../session/useSession.js';
import styles from './shelf.module.css';

const OF_PARTS: readonly ComponentKind[] = [
  'filter',
  'wearPart',
  'belt',
  'fastener',
  'play',
  'electrical',
  'structure',
];

/** What its component is; nothing of a kit, which is of what it holds. */
function ComponentField({ kind }: { kind: ArticleKind }) {
  const form = useFormContext<ArticleFieldsDto>();
  const component = useWatch({ control: form.control, name: 'component' }) ?? null;
  if (kind === 'kit') return null;
  return (
    <ComponentPick
      label={kind === 'fluid' ? 'It is poured as' : 'It is for the'}
      kinds={kind === 'fluid' ? ['fluid'] : OF_PARTS}
      value={component}
      fault={form.formState.errors.component?.message}
      onChange={(chosen) => form.setValue('component', chosen, { shouldDirty: true })}
    />
  );
}

const NO_FLUID = 'notSaid';

/** What stands on the label of a fluid. */
function LabelFields() {
  const form = useFormContext<ArticleFieldsDto>();
  const fluid = useWatch({ control: form.control, name: 'fluid' }) ?? null;
  const say = (next: FluidTraits | null) =>
    form.setValue('fluid', next && { ...next, categories: [...next.categories] }, { shouldDirty: true });
  return (
    <fieldset className={styles.contents}>
      <legend>What its label says</legend>
      <Choose
        label="Kind of fluid"
        value={fluid?.kind ?? NO_FLUID}
        choices={[
          [NO_FLUID, 'not said yet'],
          ...FLUID_KIND_KEYS.map((kind) => [kind, FLUID_KINDS[kind].words] as const),
        ]}
        onChange={(kind) => {
          if (kind === NO_FLUID) say(null);
          else say({ kind, grade: fluid?.grade ?? '', categories: [] });
        }}
      />
      {fluid ? (
        <>
          <Field form={form} name="fluid.grade" label="Grade" hint="Such as 10W-30, 80W-90 or ISO VG 46" />
          {categoriesOf(fluid.kind).length ? (
            <Autocomplete
              multiple
              autoHighlight
              disableCloseOnSelect
              options={categoriesOf(fluid.kind)}
              value={fluid.categories}
              onChange={(_event, categories) => say({ ...fluid, categories })}
              renderInput={(params) => (
                <TextField
                  {...params}
                  label="Categories"
                  onKeyDown={enterStays}
                  error={form.formState.errors.fluid?.categories !== undefined}
                  helperText={form.formState.errors.fluid?.categories?.message ?? 'All that the label names'}
                />
              )}
            />
          ) : null}
        </>
      ) : null}
    </fieldset>
  );
}

const NO_MEASURES: FilterTraits = { height: null, outside: null, gasket: null, thread: '', bypass: null };
const NO_PLUG: PlugTraits = { reach: null, thread: '', hexagon: null };

/** Measures of which none was taken are none. */
function orNull<T extends object>(traits: T): T | null {
  return Object.values(traits).some((value) => value !== null && value !== '') ? traits : null;
}

interface MeasureProps {
  readonly label: string;
  readonly value: number | null;
  readonly fault: string | undefined;
  readonly dimension?: 'length' | 'pressure';
  readonly onChange: (value: number | null) => void;
}

function Measure({ dimension = 'length', ...props }: MeasureProps) {
  return <QuantityInput {...props} dimension={dimension} keptDecimals={dimension === 'length' ? 3 : 6} />;
}

function Thread({ thread, onChange }: { thread: string; onChange: (thread: string) => void }) {
  return (
    <TextField
      label="Thread"
      value={thread}
      onChange={({ target }) => onChange(target.value)}
      helperText="Such as 3/4-16 UNF or M14 × 1.25"
      slotProps={{ htmlInput: { maxLength: 40 } }}
    />
  );
}

function FilterFields() {
  const form = useFormContext<ArticleFieldsDto>();
  const filter = useWatch({ control: form.control, name: 'filter' }) ?? NO_MEASURES;
  const faults = form.formState.errors.filter;
  const say = (more: Partial<FilterTraits>) =>
    form.setValue('filter', orNull({ ...filter, ...more }), { shouldDirty: true });
  return (
    <fieldset className={styles.contents}>
      <legend>What was measured, to compare it with others</legend>
      <div className={form_.grid}>
        <Measure
          label="Height"
          value={filter.height}
          fault={faults?.height?.message}
          onChange={(height) => say({ height })}
        />
        <Measure
          label="Outside"
          value={filter.outside}
          fault={faults?.outside?.message}
          onChange={(outside) => say({ outside })}
        />
        <Measure
          label="Gasket"
          value={filter.gasket}
          fault={faults?.gasket?.message}
          onChange={(gasket) => say({ gasket })}
        />
        <Thread thread={filter.thread} onChange={(thread) => say({ thread })} />
        <Measure
          label="Bypass opens at"
          dimension="pressure"
          value={filter.bypass}
          fault={faults?.bypass?.message}
          onChange={(bypass) => say({ bypass })}
        />
      </div>
    </fieldset>
  );
}

function PlugFields() {
  const form = useFormContext<ArticleFieldsDto>();
  const plug = useWatch({ control: form.control, name: 'plug' }) ?? NO_PLUG;
  const faults = form.formState.errors.plug;
  const say = (more: Partial<PlugTraits>) =>
    form.setValue('plug', orNull({ ...plug, ...more }), { shouldDirty: true });
  return (
    <fieldset className={styles.contents}>
      <legend>What was measured, to compare it with others</legend>
      <div className={form_.grid}>
        <Measure
          label="Reach"
          value={plug.reach}
          fault={faults?.reach?.message}
          onChange={(reach) => say({ reach })}
        />
        <Thread thread={plug.thread} onChange={(thread) => say({ thread })} />
        <Measure
          label="Hexagon"
          value={plug.hexagon}
          fault={faults?.hexagon?.message}
          onChange={(hexagon) => say({ hexagon })}
        />
      </div>
    </fieldset>
  );
}

/** Makers with their numbers, and what took their place. */
function NumberFields() {
  const form = useFormContext<ArticleFieldsDto>();
  const { fields, append, remove } = useFieldArray({ control: form.control, name: 'makerNumbers' });
  return (
    <fieldset className={styles.contents}>
      <legend>Makers&rsquo; numbers</legend>
      {fields.map((field, index) => (
        <div key={field.id} className={styles.maker}>
          <Field form={form} name={`makerNumbers.${index}.maker`} label="Maker" />
          <Field form={form} name={`makerNumbers.${index}.number`} label="Number" />
          <Field form={form} name={`makerNumbers.${index}.supersededBy`} label="Superseded by" />
          <Button
            variant="text"
            size="small"
            onClick={() => remove(index)}
            aria-label={`Take out number ${index + 1}`}
          >
            Take out
          </Button>
        </div>
      ))}
      <div>
        <Button size="small" onClick={() => append({ maker: '', number: '', supersededBy: '' })}>
          Add a number
        </Button>
      </div>
    </fieldset>
  );
}

/** What is said of an article, new or known; inside a form of its fields. */
export function ArticleFields({ kind, unit }: { kind: ArticleKind; unit: ArticleUnit }) {
  const { site } = useSession();
  const form = useFormContext<ArticleFieldsDto>();
  const component = useWatch({ control: form.control, name: 'component' }) ?? null;
  const isFilter = component !== null && componentSpec(component).is === 'filter';
  return (
    <>
      <div className={form_.grid}>
        <StockField form={form} name="leastOnHand" unit={unit} label="Least wanted on hand" />
        <MoneyField
          form={form}
          name="priceMinor"
          label={unit === 'litre' ? 'Price of a litre' : 'Price of one'}
          currency={site.currency}
          hint="What was drawn before keeps its price"
        />
        <Field form={form} name="number" label="Our number" />
        <Field
          form={form}
          name="barcode"
          label="Barcode"
          hint="Click here and scan it, or type it"
          onKeyDown={enterStays}
        />
        <Field form={form} name="place" label="Place on the shelf" hint="Such as Rack B, 2" />
        <ComponentField kind={kind} />
      </div>
      {kind === 'fluid' ? <LabelFields /> : null}
      {isFilter ? <FilterFields /> : null}
      {component === 'sparkPlugs' ? <PlugFields /> : null}
      {kind === 'kit' ? null : <NumberFields />}
    </>
  );
}
