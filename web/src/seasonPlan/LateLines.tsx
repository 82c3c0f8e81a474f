import type { JudgePlanDto, LateLineDto, PlanJudgementDto, SeasonPlanDto } from '@yugator/contracts';
import { sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { Caution } from '../page/Caution.js';
import { Plate } from '../page/Plate.js';
import { useSession } from '../session/useSession.js';
import { dayWords } from '../words/dates.js';
import { countWords } from '../words/figures.js';
import { isOutlook, toFields } from './cards.js';
import type { Card } from './cards.js';
import styles from './plan.module.css';

function pastWords({ hours, days }: LateLineDto): string {
  const past = [hours ? `${hours.toFixed(1)} h` : '', days ? countWords(days, 'day') : ''];
  return `${past.filter(Boolean).join(' and ')} past its limit`;
}

/** What of some cards will be past its limit when it is done, walked day by day by the rules of the schedule on the server. */
export function LateLines({ plan, cards }: { plan: SeasonPlanDto; cards: readonly Card[] }) {
  const { today } = useSession();
  const judge = useWrite<PlanJudgementDto, JudgePlanDto>(
    (body) => ({ method: 'POST', path: '/season-plan/judge', body }),
    [],
  );
  const begin = () =>
    judge.mutate({
      cards: toFields(
        cards.filter(({ day }) => !isOutlook(day)),
        plan,
      ),
    });
  const late = judge.data?.late;
  return (
    <details
      className={styles.past}
      onToggle={({ currentTarget }) => {
        if (currentTarget.open && judge.isIdle) begin();
      }}
    >
      <summary>What will be late when it is done, by the schedule itself</summary>
      {judge.isPending ? <p role="status">Walking the plan day by day …</p> : null}
      {judge.error ? <Caution title="Not judged">{<p>{sentenceOf(judge.error)}</p>}</Caution> : null}
      {late?.length === 0 ? <p>Nothing, if the machines run as is expected.</p> : null}
      {late?.length ? (
        <>
          <p>{countWords(late.length, 'line')}, if the machines run as is expected:</p>
          <ul>
            {late.map((each) => (
              <li key={`${each.machine.id} ${each.on} ${each.line}`}>
                <Plate tag={each.machine.tag} to={each.machine.id} />
                <span>
                  {each.line}, {dayWords(each.on, today)}: {pastWords(each)}
                </span>
              </li>
            ))}
          </ul>
        </>
      ) : null}
    </details>
  );
}
