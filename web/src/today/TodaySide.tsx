import Button from '@mui/material/Button';
import type { TodayDto } from '@yugator/contracts';
import { capital, shownValue } from '@yugator/core';
import { Link } from 'react-router';
import { SEVERITY_WORDS } from '../job/outcomeWords.js';
import { ATTACHMENT_WORDS } from '../machine/classWords.js';
import { Plate } from '../page/Plate.js';
import { useSession } from '../session/useSession.js';
import { fluidWords, THIRST_WORDS } from '../topUp/fluidWords.js';
import { countWords, hoursWords } from '../words/figures.js';
import styles from './today.module.css';
import { useStockWords } from '../session/useStockWords.js';

/** The list of defects has them all. */
const DEFECTS_SHOWN = 8;

function OpenJobs({ today }: { today: TodayDto }) {
  const open = today.machines.filter((machine) => machine.openJobId !== null);
  if (open.length === 0) return null;
  return (
    <section className={styles.side}>
      <h2>Open jobs</h2>
      {open.map((machine) => (
        <p key={machine.id}>
          <Plate tag={machine.tag} to={machine.id} />{' '}
          <Link to={`/jobs/${machine.openJobId}`}>{machine.name}</Link>
        </p>
      ))}
    </section>
  );
}

function OpenDefects({ today }: { today: TodayDto }) {
  if (today.defects.length === 0) return null;
  return (
    <section className={styles.side}>
      <h2>
        <Link to="/defects">Open defects</Link>
      </h2>
      {today.defects.slice(0, DEFECTS_SHOWN).map(({ id, machine, words, severity }) => (
        <p key={id}>
          <Plate tag={machine.tag} to={machine.id} /> {words}
          <br />
          <span className={severity === 'stop' ? undefined : 'soft'}>{SEVERITY_WORDS[severity]}</span>
        </p>
      ))}
      {today.defects.length > DEFECTS_SHOWN ? (
        <p>
          <Link to="/defects">and {today.defects.length - DEFECTS_SHOWN} more</Link>
        </p>
      ) : null}
    </section>
  );
}

function ThirstyMachines({ today }: { today: TodayDto }) {
  const { site } = useSession();
  if (today.thirsty.length === 0) return null;
  return (
    <section className={styles.side}>
      <h2>Begins to drink</h2>
      {today.thirsty.map(({ id, tag, component, thirst, latest }) => (
        <p key={`${id} ${component}`}>
          <Plate tag={tag} to={id} /> {capital(fluidWords(component))}:{' '}
          <b>{shownValue(latest, 'volume', site.unitSystem)}</b> in 100 h
          <br />
          <span className="soft">{THIRST_WORDS[thirst]}</span>
        </p>
      ))}
    </section>
  );
}

function StaleMeters({ today }: { today: TodayDto }) {
  return (
    <section className={styles.side}>
      <h2>Readings gone stale</h2>
      {today.stale.length === 0 ? (
        <p className="soft">None. Every meter of a machine at work was read in time.</p>
      ) : null}
      {today.stale.map((machine) => (
        <p key={`${machine.id} ${machine.meter}`}>
          <Plate tag={machine.tag} to={machine.id} />{' '}
          {machine.meter === 'engine' ? null : `${ATTACHMENT_WORDS[machine.meter]} `}
          <b>{countWords(machine.days, 'day')}</b>{' '}
          <span className="soft">
            since <span className="fig">{hoursWords(machine.life)}</span> h
          </span>
        </p>
      ))}
      <Button component={Link} to="/round" size="small">
        Start the round
      </Button>
    </section>
  );
}

function ShortArticles({ today }: { today: TodayDto }) {
  const stock = useStockWords();
  return (
    <section className={styles.side}>
      <h2>Low on the shelf</h2>
      {today.short.length === 0 ? (
        <p className="soft">Nothing. Every article is at or above its least.</p>
      ) : null}
      {today.short.map((article) => (
        <p key={article.id}>
          {article.name}
          <br />
          <span className="soft">
            {article.onHand < 0
              ? `${stock(-article.onHand, article.unit)} more used than ever came in: count it`
              : `${stock(article.onHand, article.unit)} on hand, ${stock(article.leastOnHand, article.unit)} wanted`}
          </span>
        </p>
      ))}
    </section>
  );
}

/** What else needs a look today. */
export function TodaySide({ today }: { today: TodayDto }) {
  return (
    <aside>
      <OpenDefects today={today} />
      <ThirstyMachines today={today} />
      <OpenJobs today={today} />
      <StaleMeters today={today} />
      <ShortArticles today={today} />
    </aside>
  );
}
