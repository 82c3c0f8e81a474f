import { useQuery } from '@tanstack/react-query';
import type { ConsumptionDto, TopUpsDto } from '@yugator/contracts';
import { capital, litresPer100h, shownValue } from '@yugator/core';
import { Link } from 'react-router';
import { Caution } from '../page/Caution.js';
import table from '../page/table.module.css';
import { useSession } from '../session/useSession.js';
import { dayWords } from '../words/dates.js';
import { hoursWords } from '../words/figures.js';
import { fluidWords, THIRST_WORDS } from './fluidWords.js';
import { topUpQueries } from './topUpQueries.js';

function usePer100h(): (litres: number) => string {
  const { site } = useSession();
  return (litres) => `${shownValue(litres, 'volume', site.unitSystem)} in 100 h`;
}

/** What a fluid's consumption says: now, before, and what is allowed. */
function Drinks({ drinks }: { drinks: ConsumptionDto }) {
  const per100h = usePer100h();
  const { component, latest, usual, allowed, thirst } = drinks;
  const words = capital(fluidWords(component));
  if (latest === null) return <p>{words}: too few top-ups yet to tell what it uses up.</p>;
  const others = [
    usual === null ? '' : `before ${per100h(usual)}`,
    allowed === null ? '' : `its card allows ${per100h(allowed)}`,
  ].filter(Boolean);
  const said = `${words}: ${[per100h(latest), ...others].join('; ')}.`;
  if (!thirst) return <p>{said}</p>;
  return (
    <Caution title={`It takes ${THIRST_WORDS[thirst]}`} quiet>
      <p>{said} Look for leaks and smoke, and whether the level was read the same way each time.</p>
    </Caution>
  );
}

function Spans({ spans }: Pick<ConsumptionDto, 'spans'>) {
  const { site } = useSession();
  return (
    <details>
      <summary style={{ minHeight: 40, display: 'inline-flex', alignItems: 'center' }}>
        From top-up to top-up
      </summary>
      <table className={table.table}>
        <thead>
          <tr>
            <th className={table.number}>Up to</th>
            <th className={table.number}>Ran</th>
            <th className={table.number}>Took</th>
            <th className={table.number}>In 100 h</th>
          </tr>
        </thead>
        <tbody>
          {spans.toReversed().map(({ life, hours, litres }) => (
            <tr key={life}>
              <td className={table.number}>{hoursWords(life)} h</td>
              <td className={table.number}>{hoursWords(hours)} h</td>
              <td className={table.number}>{shownValue(litres, 'volume', site.unitSystem)}</td>
              <td className={table.number}>
                {shownValue(litresPer100h([{ hours, litres }]) ?? 0, 'volume', site.unitSystem)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}

function Latest({ topUps }: Pick<TopUpsDto, 'topUps'>) {
  const { site, today } = useSession();
  return (
    <table className={table.table}>
      <thead>
        <tr>
          <th>Topped up</th>
          <th className={table.number}>Life hours</th>
          <th>What</th>
          <th>By</th>
        </tr>
      </thead>
      <tbody>
        {topUps.slice(0, 20).map(({ jobId, component, on, life, litres, grade, reason, by }) => (
          <tr key={`${jobId} ${component}`}>
            <td className={table.short}>
              <Link to={`/jobs/${jobId}`}>{dayWords(on, today)}</Link>
            </td>
            <td className={table.number} data-label="Life hours:">
              {hoursWords(life)}
            </td>
            <td>
              {shownValue(litres, 'volume', site.unitSystem)} {fluidWords(component)}, {grade}
              {reason ? <div className="soft">{reason}</div> : null}
            </td>
            <td>{by}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** What a machine was topped up with, and what it uses up. */
export function Consumption({ machineId }: { machineId: string }) {
  const { data } = useQuery(topUpQueries.of(machineId));
  if (!data || data.topUps.length === 0) return null;
  return (
    <section aria-label="Topped up" style={{ display: 'grid', gap: 8 }}>
      <h2>Topped up</h2>
      {data.consumption.map((drinks) => (
        <div key={drinks.component}>
          <Drinks drinks={drinks} />
          {drinks.spans.length ? <Spans spans={drinks.spans} /> : null}
        </div>
      ))}
      <Latest topUps={data.topUps} />
    </section>
  );
}

/** Says of a machine that it begins to drink, where it does. */
export function Thirsty({ machineId }: { machineId: string }) {
  const { data } = useQuery(topUpQueries.of(machineId));
  const thirsty = (data?.consumption ?? []).filter(({ thirst }) => thirst !== null);
  return thirsty.map((drinks) => <Drinks key={drinks.component} drinks={drinks} />);
}
