import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { UpdateSiteSettingsDto } from '@yugator/contracts';
import type { SiteSettingsDto } from '@yugator/contracts';
import type { DateOrder } from '@yugator/core';
import type { UseFormReturn } from 'react-hook-form';
import { useWrite } from '../api/useWrite.js';
import { ChoiceField } from '../form/ChoiceField.js';
import { choicesOf } from '../form/Choose.js';
import { Field } from '../form/Field.js';
import { MoneyField } from '../form/MoneyField.js';
import styles from '../form/form.module.css';
import { useDtoForm } from '../form/useDtoForm.js';
import { Caution } from '../page/Caution.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { useNotice } from '../page/Notice.js';
import { useSession } from '../session/useSession.js';
import { siteQueries } from './siteQueries.js';

const GRID_WORDS = {
  sinceDone: 'Since it was last done',
  onMeter: 'At whole multiples on the meter',
} as const;
const ORDER_WORDS: Record<DateOrder, string> = {
  dayFirst: 'Day first: 31/12/2027',
  monthFirst: 'Month first: 12/31/2027',
  yearFirst: 'Year first: 2027-12-31',
};
const UNIT_WORDS = { metric: 'Litres, N·m, kPa, mm', us: 'Quarts, lbf·ft, psi, inches' } as const;

function SiteChoices({ form }: { form: UseFormReturn<UpdateSiteSettingsDto> }) {
  return (
    <>
      <ChoiceField
        form={form}
        name="hoursGrid"
        label="Hours intervals count"
        choices={choicesOf(GRID_WORDS)}
        hint="On the meter: done at 96 h counts for 100, and late at 130 h the next is still 150"
      />
      <ChoiceField
        form={form}
        name="unitSystem"
        label="Figures are shown in"
        choices={choicesOf(UNIT_WORDS)}
      />
      <ChoiceField form={form} name="dateOrder" label="Days are typed" choices={choicesOf(ORDER_WORDS)} />
    </>
  );
}

function RulesForm({ settings }: { settings: SiteSettingsDto }) {
  const { site } = useSession();
  const say = useNotice();
  const form = useDtoForm(UpdateSiteSettingsDto, settings);
  const update = useWrite<SiteSettingsDto, UpdateSiteSettingsDto>(
    (body) => ({ method: 'PUT', path: '/site', body }),
    ['site', 'machines'],
    (saved) => {
      form.reset(saved);
      form.clearProblem();
      say('Rules of the site saved.');
    },
  );
  return (
    <form
      className={styles.form}
      noValidate
      onSubmit={(event) =>
        void form.handleSubmit((values) => update.mutate(values, { onError: form.refuse }))(event)
      }
    >
      {form.problem ? <Caution title="Not saved">{<p>{form.problem}</p>}</Caution> : null}
      <div className={styles.grid}>
        <SiteChoices form={form} />
        <Field form={form} name="staleAfterDays" label="A reading is stale after days" figure />
        <Field
          form={form}
          name="sessionIdleDays"
          label="Signed out after days without use"
          hint="But on a device that is somebody’s own: 180 days"
          figure
        />
        <MoneyField
          form={form}
          name="labourRateMinor"
          label="An hour of the crew"
          currency={site.currency}
          hint="Such as 32.50; empty, labour is not reckoned"
          mayBeEmpty
        />
      </div>
      <div>
        <Button type="submit" variant="contained" color="primary" loading={update.isPending}>
          Save
        </Button>
      </div>
    </form>
  );
}

/** What holds for the whole site. */
export function SiteRules({ mayChange }: { mayChange: boolean }) {
  const { data, error, refetch } = useQuery(siteQueries.settings());
  return (
    <section aria-label="Rules of the site" style={{ marginTop: 32, display: 'grid', gap: 10 }}>
      <h2>Rules of the site</h2>
      {!data ? (
        error ? (
          <Failed error={error} again={refetch} />
        ) : (
          <Loading rows={2} />
        )
      ) : mayChange ? (
        <RulesForm key={data.version} settings={data} />
      ) : (
        <p>
          Hours count: {GRID_WORDS[data.hoursGrid].toLowerCase()}. A reading is stale after{' '}
          {data.staleAfterDays} days.
        </p>
      )}
    </section>
  );
}
