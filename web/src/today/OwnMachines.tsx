import type { DefectDto, TodayDto } from '@yugator/contracts';
import { SEVERITY_WORDS } from '../job/outcomeWords.js';
import { Plate } from '../page/Plate.js';
import { useSession } from '../session/useSession.js';
import { dayWords } from '../words/dates.js';
import { MachineRow } from './MachineRow.js';
import { Rounds } from './Rounds.js';
import styles from './today.module.css';

/** What became of a defect: "mended on 12 May by Ansel: new belt". */
function endWords({ ended, severity, openJobId, plannedOn }: DefectDto, today: string): string {
  if (!ended) {
    if (openJobId) return 'in the workshop now';
    return plannedOn ? `in the workshop ${dayWords(plannedOn, today)}` : `open: ${SEVERITY_WORDS[severity]}`;
  }
  const how = ended.how === 'mended' ? 'mended' : 'taken back';
  const by = ended.by ? ` by ${ended.by}` : '';
  return `${how} ${dayWords(ended.on, today)}${by}${ended.words ? `: ${ended.words}` : ''}`;
}

/** What somebody reported, and what became of it. */
function Reported({ defects }: { defects: readonly DefectDto[] }) {
  const { today } = useSession();
  if (defects.length === 0) return null;
  return (
    <section aria-label="What you reported">
      <h2 className={styles.group}>What you reported</h2>
      <ul className={styles.rows}>
        {defects.map((defect) => (
          <li key={defect.id} className={styles.round}>
            <Plate tag={defect.machine.tag} to={defect.machine.id} />
            <span className={styles.what}>
              <b>{defect.words}</b>
              <span className={styles.reason}>
                {dayWords(defect.foundOn, today)}; {endWords(defect, today)}
              </span>
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What an operator begins with: the machines that they drive, the walk-rounds that wait, and what became of what they reported. */
export function OwnMachines({ today }: { today: TodayDto }) {
  const own = today.own.flatMap((id) => today.machines.find((machine) => machine.id === id) ?? []);
  const place = (id: string) => {
    const at = today.own.indexOf(id);
    return at < 0 ? today.own.length : at;
  };
  return (
    <>
      {own.length ? (
        <section aria-label="Your machines">
          <h2 className={styles.group}>Your machines</h2>
          <ul className={styles.rows}>
            {own.map((machine) => (
              <MachineRow
                key={machine.id}
                machine={machine}
                today={today.today}
                isNext={false}
                isOwn
                isStale={today.stale.some(({ id, meter }) => id === machine.id && meter === 'engine')}
              />
            ))}
          </ul>
        </section>
      ) : null}
      <Rounds rounds={today.rounds.toSorted((a, b) => place(a.id) - place(b.id))} more={today.moreRounds} />
      <Reported defects={today.reported} />
    </>
  );
}
