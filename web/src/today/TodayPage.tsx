import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import type { TodayDto, TodayMachineDto } from '@yugator/contracts';
import { Link } from 'react-router';
import { Empty } from '../page/Empty.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { PageHead } from '../page/PageHead.js';
import { Plate } from '../page/Plate.js';
import { TapeScale } from '../schedule/HoursTape.js';
import { StateMark } from '../schedule/StateShape.js';
import { PlanStanding } from '../seasonPlan/PlanStanding.js';
import { useIsOneOf } from '../session/useSession.js';
import { countWords } from '../words/figures.js';
import { MachineRow } from './MachineRow.js';
import { NextVisits } from './NextVisits.js';
import { OwnMachines } from './OwnMachines.js';
import { Rounds } from './Rounds.js';
import { TodaySide } from './TodaySide.js';
import styles from './today.module.css';
import { todayQueries } from './todayQueries.js';
import { headline, underline } from './todayWords.js';

const GROUPS = [
  ['overdue', 'Overdue: see to these before they go out'],
  ['noRecord', 'Nobody knows when it was last done'],
  ['ripe', 'Ripe for service'],
  ['coming', 'Coming within 30 days'],
] as const;

function FineMachines({ machines }: { machines: readonly TodayMachineDto[] }) {
  if (machines.length === 0) return null;
  return (
    <section aria-label="Fine">
      <h2 className={styles.group}>
        <StateMark state="fine" />
        Nothing due within 30 days
      </h2>
      <p className={styles.fine}>
        {machines.map((machine) => (
          <span key={machine.id}>
            <Plate tag={machine.tag} to={machine.id} /> {machine.name}
          </span>
        ))}
      </p>
    </section>
  );
}

function Groups({ today, isOperator }: { today: TodayDto; isOperator: boolean }) {
  // An operator's own machines stand above.
  const machines = isOperator ? today.machines.filter(({ id }) => !today.own.includes(id)) : today.machines;
  const groups = GROUPS.map(([state, title]) => ({
    state,
    title,
    machines: machines.filter((machine) => machine.state === state),
  })).filter(({ machines: own }) => own.length > 0);
  return (
    <div>
      {groups.map(({ state, title, machines: own }, index) => (
        <section key={state} aria-label={title}>
          <div className={styles.groupHead}>
            <h2 className={styles.group}>
              <StateMark state={state} />
              {title}
            </h2>
            {index === 0 ? (
              <div className={styles.scale}>
                <TapeScale />
              </div>
            ) : null}
          </div>
          <ul className={styles.rows}>
            {own.map((machine) => (
              <MachineRow
                key={machine.id}
                machine={machine}
                today={today.today}
                isNext={!isOperator && machine.id === today.machines[0]?.id}
                isStale={today.stale.some(({ id, meter }) => id === machine.id && meter === 'engine')}
              />
            ))}
          </ul>
        </section>
      ))}
      {isOperator ? null : <Rounds rounds={today.rounds} more={today.moreRounds} />}
      <FineMachines machines={machines.filter(({ state }) => state === 'fine' || state === 'resting')} />
      {today.more ? (
        <p style={{ marginTop: 12 }}>
          {countWords(today.more, 'more machine')} are in better state:{' '}
          <Link to="/fleet/schedule">look in the schedule of the fleet</Link>.
        </p>
      ) : null}
    </div>
  );
}

/** What bites now: machines worst first, each with its reason and the next act. */
export function TodayPage() {
  const { data, error, refetch } = useQuery(todayQueries.today());
  const isLead = useIsOneOf('crewLead');
  const isOperator = useIsOneOf('operator');
  if (!data) return error ? <Failed error={error} again={refetch} /> : <Loading />;
  return (
    <>
      <PageHead
        name="Today"
        title={headline(data)}
        under={data.machines.length ? underline(data) : undefined}
      />
      {data.machines.length === 0 ? (
        <Empty title="There is no machine in the fleet yet.">
          {isLead ? (
            <Button component={Link} to="/fleet/new" variant="contained" color="primary">
              Register the first machine
            </Button>
          ) : (
            <p>The crew lead registers machines.</p>
          )}
        </Empty>
      ) : (
        <div className={styles.page}>
          <div>
            {isOperator ? <OwnMachines today={data} /> : null}
            {isOperator ? null : <PlanStanding again="/season/plan" />}
            {isOperator ? null : <NextVisits visits={data.visits} today={data.today} />}
            <Groups today={data} isOperator={isOperator} />
          </div>
          <TodaySide today={data} />
        </div>
      )}
    </>
  );
}
