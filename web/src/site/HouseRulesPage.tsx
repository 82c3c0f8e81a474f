import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import { useQuery } from '@tanstack/react-query';
import { UpdateWorkshopDto } from '@yugator/contracts';
import type { WorkshopDto } from '@yugator/contracts';
import {
  figuresWithDefaults,
  figureWords,
  HOUSE_FIGURES,
  HOUSE_RULES,
  REFUSED_PRACTICES,
  withDefaults,
} from '@yugator/core';
import type { HouseFigures, HouseRule } from '@yugator/core';
import { useWrite } from '../api/useWrite.js';
import { QuantityField } from '../form/QuantityField.js';
import form_ from '../form/form.module.css';
import { useDtoForm } from '../form/useDtoForm.js';
import { Caution } from '../page/Caution.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { useNotice } from '../page/Notice.js';
import { PageHead } from '../page/PageHead.js';
import { useIsOneOf } from '../session/useSession.js';
import page from '../page/page.module.css';
import { ClimateFields } from './ClimateFields.js';
import styles from './houseRules.module.css';
import { siteQueries } from './siteQueries.js';

const VESSELS = [
  { name: 'panLitres', label: 'Drain pan' },
  { name: 'extractorLitres', label: 'Extractor' },
  { name: 'usedOilLitres', label: 'Used-oil container' },
  { name: 'wasteLitres.coolant', label: 'Container of used coolant' },
  { name: 'wasteLitres.brakeFluid', label: 'Container of used brake fluid' },
  { name: 'wasteLitres.fuel', label: 'Container of old fuel' },
] as const;

interface RuleProps {
  readonly rule: HouseRule;
  readonly chosen: string;
  readonly figures: HouseFigures;
  readonly onChoose: ((key: string) => void) | null;
}

function Rule({ rule, chosen, figures, onChoose }: RuleProps) {
  const id = `rule-${rule.key}`;
  return (
    <section className={styles.rule} aria-labelledby={id}>
      <h2 id={id}>{rule.question}</h2>
      <p className="soft">It changes: {rule.changes}</p>
      <RadioGroup
        value={chosen}
        onChange={(_event, key) => onChoose?.(key)}
        aria-labelledby={id}
        sx={{ flexWrap: 'nowrap' }}
      >
        <div className={styles.options}>
          {rule.options.map(({ key, words, why }, index) => (
            <div key={key} className={key === chosen ? styles.chosen : styles.option}>
              <FormControlLabel
                value={key}
                disabled={!onChoose}
                control={<Radio />}
                label={<b>{figureWords(words, figures)}</b>}
                sx={{ minHeight: 44 }}
              />
              <p>{why}</p>
              {index === 0 ? <p className="soft">As shipped</p> : null}
            </div>
          ))}
        </div>
      </RadioGroup>
    </section>
  );
}

function Refused() {
  return (
    <section style={{ marginTop: 32 }} aria-label="Not offered">
      <h2>Not offered</h2>
      <ul className={styles.refused}>
        {REFUSED_PRACTICES.map(({ practice, why }) => (
          <li key={practice}>
            <b>{practice}.</b> {why}
          </li>
        ))}
      </ul>
    </section>
  );
}

function RulesForm({ workshop, mayChange }: { workshop: WorkshopDto; mayChange: boolean }) {
  const say = useNotice();
  const form = useDtoForm<UpdateWorkshopDto>(UpdateWorkshopDto, workshop);
  const update = useWrite<WorkshopDto, UpdateWorkshopDto>(
    (body) => ({ method: 'PUT', path: '/site/workshop', body }),
    ['site', 'jobs'],
    () => say('House rules kept. Sheets follow them from now on.'),
  );
  const rules = form.watch('rules');
  const figures = figuresWithDefaults({ ...form.watch('figures') });
  return (
    <form
      noValidate
      onSubmit={form.handleSubmit((values) =>
        update.mutate({ ...values, version: workshop.version }, { onError: form.refuse }),
      )}
    >
      {HOUSE_RULES.map((rule) => (
        <Rule
          key={rule.key}
          rule={rule}
          chosen={rules[rule.key]}
          figures={figures}
          onChoose={
            mayChange ? (key) => form.setValue('rules', withDefaults({ ...rules, [rule.key]: key })) : null
          }
        />
      ))}
      <section className={styles.rule} aria-label="Figures of our own">
        <h2>Figures of our own</h2>
        <div className={form_.grid} style={{ marginTop: 10 }}>
          {HOUSE_FIGURES.map(({ key, label, dimension, decimals, why }) => (
            <QuantityField
              key={key}
              form={form}
              name={`figures.${key}`}
              label={label}
              dimension={dimension}
              keptDecimals={decimals}
              hint={why}
              disabled={!mayChange}
            />
          ))}
        </div>
      </section>
      <section className={styles.rule} aria-label="What the shop drains into">
        <h2>What the shop drains into</h2>
        <div className={form_.grid} style={{ marginTop: 10 }}>
          {VESSELS.map(({ name, label }) => (
            <QuantityField
              key={name}
              form={form}
              name={name}
              label={label}
              dimension="volume"
              keptDecimals={2}
              disabled={!mayChange}
            />
          ))}
        </div>
      </section>
      {workshop.climate ? <ClimateFields form={form} mayChange={mayChange} /> : null}
      {form.problem ? <Caution title="Not saved">{<p>{form.problem}</p>}</Caution> : null}
      {mayChange ? (
        <div className={page.foot}>
          <Button type="submit" variant="contained" color="primary" size="large" loading={update.isPending}>
            Keep the house rules
          </Button>
        </div>
      ) : (
        <p className="soft">The crew lead chooses these.</p>
      )}
    </form>
  );
}

/** Where good mechanics differ: the ways side by side, and what the shop has chosen. */
export function HouseRulesPage() {
  const { data, error, refetch } = useQuery(siteQueries.workshop());
  const mayChange = useIsOneOf('crewLead');
  return (
    <>
      <PageHead
        name="House rules"
        title="House rules"
        under="Where good mechanics differ, the shop says once how it is done here; every sheet follows and says so."
      />
      {data ? (
        <RulesForm key={data.version} workshop={data} mayChange={mayChange} />
      ) : error ? (
        <Failed error={error} again={refetch} />
      ) : (
        <Loading />
      )}
      <Refused />
    </>
  );
}
