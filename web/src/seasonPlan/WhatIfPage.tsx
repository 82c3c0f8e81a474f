import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import type { SeasonPlanDto } from '@yugator/contracts';
import { addDays, civilDate, suppose } from '@yugator/core';
import type { PlanSums } from '@yugator/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { Choose, choicesOf } from '../form/Choose.js';
import { DayPicker } from '../form/DayPicker.js';
import form_ from '../form/form.module.css';
import { Caution } from '../page/Caution.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { PageHead } from '../page/PageHead.js';
import { useIsOneOf, useSession } from '../session/useSession.js';
import { moneyOf } from './moves.js';
import type { MoneyOf } from './moves.js';
import styles from './plan.module.css';
import { planQueries } from './planQueries.js';
import { SUPPOSED, suppositionOf } from './supposed.js';
import type { Supposed, SupposedFields } from './supposed.js';
import { useWhatIf } from './useWhatIf.js';
import type { Compared } from './useWhatIf.js';

interface FieldsProps {
  readonly kind: Supposed;
  readonly fields: SupposedFields;
  readonly plan: SeasonPlanDto;
  readonly onChange: (fields: SupposedFields) => void;
}

/** A whole number from 1 up to `most`. */
function Whole({
  label,
  value,
  most,
  onChange,
}: {
  label: string;
  value: number;
  most: number;
  onChange: (value: number) => void;
}) {
  const [text, setText] = useState(String(value));
  const typed = Number(text);
  const isRight = /^\d+$/.test(text.trim()) && typed >= 1 && typed <= most;
  return (
    <TextField
      label={label}
      size="small"
      sx={{ width: 220 }}
      value={text}
      error={!isRight}
      helperText={isRight ? undefined : `A whole number from 1 to ${most}`}
      slotProps={{ htmlInput: { inputMode: 'numeric' } }}
      onChange={({ target }) => {
        setText(target.value);
        const next = Number(target.value);
        onChange(/^\d+$/.test(target.value.trim()) && next >= 1 && next <= most ? next : NaN);
      }}
    />
  );
}

function Fields({ kind, fields, plan, onChange }: FieldsProps) {
  if (kind === 'more' || kind === 'fewer')
    return (
      <Whole
        label="By so many per cent"
        value={fields.percent}
        most={kind === 'more' ? 200 : 90}
        onChange={(percent) => onChange({ ...fields, percent })}
      />
    );
  if (kind === 'away')
    return (
      <>
        <Whole
          label="Per cent of all hands"
          value={fields.share}
          most={100}
          onChange={(share) => onChange({ ...fields, share })}
        />
        <DayPicker
          fullWidth={false}
          label="From"
          value={fields.from}
          onChange={(from) => onChange({ ...fields, from })}
        />
        <DayPicker
          fullWidth={false}
          label="Until"
          value={fields.until}
          onChange={(until) => onChange({ ...fields, until })}
        />
      </>
    );
  if (kind === 'another')
    return (
      <Choose<string>
        label="One like"
        size="small"
        sx={{ width: 300 }}
        value={fields.machineId}
        choices={plan.machines.map(({ id, tag, name }) => [id, `${tag} ${name}`] as const)}
        onChange={(machineId) => onChange({ ...fields, machineId })}
      />
    );
  if (kind === 'lateParts')
    return (
      <Whole
        label="So many weeks later"
        value={fields.weeks}
        most={12}
        onChange={(weeks) => onChange({ ...fields, weeks })}
      />
    );
  return null;
}

const ROWS = [
  ['visits', 'Visits', 'count'],
  ['minutes', 'Work, in minutes', 'minutes'],
  ['late', 'Lateness, worth in minutes', 'minutes'],
  ['unready', 'Not ready or not laid up, worth in minutes', 'minutes'],
  ['thrownAway', 'Life thrown away, worth in minutes', 'minutes'],
  ['total', 'All together, with what is carried on', 'minutes'],
] as const satisfies readonly (readonly [keyof PlanSums, string, 'count' | 'minutes'])[];

function ComparedTable({ asIs, supposed, money }: Compared & { money: MoneyOf }) {
  const figure = (value: number, unit: 'count' | 'minutes') => {
    const rounded = Math.round(value);
    return unit === 'count' ? String(rounded) : `${rounded}${money(rounded)}`;
  };
  return (
    <table className={styles.load}>
      <thead>
        <tr>
          <th scope="col">In the coming twelve weeks</th>
          <th scope="col">As it is</th>
          <th scope="col">As supposed</th>
          <th scope="col">More</th>
        </tr>
      </thead>
      <tbody>
        {ROWS.map(([key, words, unit]) => {
          const more = Math.round(supposed[key]) - Math.round(asIs[key]);
          return (
            <tr key={key}>
              <th scope="row">{words}</th>
              <td>{figure(asIs[key], unit)}</td>
              <td>{figure(supposed[key], unit)}</td>
              <td>{more > 0 ? `+${more}` : String(more).replace('-', '\u2212')}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

function Suppose({ plan }: { plan: SeasonPlanDto }) {
  const { site, today } = useSession();
  const [kind, setKind] = useState<Supposed>('more');
  const [fields, setFields] = useState<SupposedFields>({
    percent: 20,
    share: 50,
    from: today,
    until: addDays(civilDate(today), 13),
    machineId: plan.machines[0]?.id ?? '',
    weeks: 2,
  });
  const { whatIf, begin, stop } = useWhatIf();
  const isPlanning = whatIf.state === 'planning';
  const isRight =
    [fields.percent, fields.share, fields.weeks].every(Number.isFinite) && fields.from <= fields.until;
  return (
    <>
      <div className={`${form_.acts} ${styles.suppose}`}>
        <Choose<Supposed>
          label="What if"
          size="small"
          sx={{ width: 300 }}
          value={kind}
          choices={choicesOf(SUPPOSED)}
          onChange={(next) => {
            setKind(next);
            stop();
          }}
        />
        <Fields key={kind} kind={kind} fields={fields} plan={plan} onChange={setFields} />
        {isPlanning ? (
          <Button onClick={stop}>Stop</Button>
        ) : (
          <Button
            variant="contained"
            color="primary"
            disabled={!isRight}
            onClick={() => begin(plan.instance, suppose(plan.instance, suppositionOf(kind, fields, plan)))}
          >
            Plan both
          </Button>
        )}
      </div>
      {isPlanning ? (
        <p role="status" aria-label="Planning">
          Planning {whatIf.nth === 1 ? 'as it is' : 'as supposed'} …
        </p>
      ) : null}
      {whatIf.state === 'failed' ? (
        <Caution title="Not planned">{<p>The planner came to no end.</p>}</Caution>
      ) : null}
      {whatIf.state === 'done' ? (
        <ComparedTable {...whatIf.compared} money={moneyOf(plan, site.currency)} />
      ) : null}
      <p className="soft">
        Both are planned as if nothing had been published, but for what is locked. Nothing of it is stored.
      </p>
    </>
  );
}

/** Two plans side by side: as it is, and as is supposed. */
export function WhatIfPage() {
  const mayPlan = useIsOneOf('crewLead');
  const { data, error, refetch } = useQuery({ ...planQueries.plan(), enabled: mayPlan });
  return (
    <>
      <PageHead
        name="What if"
        title="What if"
        under="Two plans side by side: as it is, and as you suppose; nothing is stored"
      >
        <Button component={Link} to="/season/plan">
          Visits planned
        </Button>
      </PageHead>
      {!mayPlan ? (
        <p>The crew lead tries what would be.</p>
      ) : data ? (
        data.instance.days.length ? (
          <Suppose plan={data} />
        ) : (
          <p>Nobody said yet when the workshop is open: say it under Days of the workshop.</p>
        )
      ) : error ? (
        <Failed error={error} again={refetch} />
      ) : (
        <Loading />
      )}
    </>
  );
}
