import { ruleWords, shownValue } from '@yugator/core';
import type { HouseRules, Sheet } from '@yugator/core';
import { useSession } from '../session/useSession.js';
import styles from './sheet.module.css';

/** What is fetched first, and how long it takes. */
export function FetchList({
  sheet,
  parts,
  rules,
}: {
  sheet: Sheet;
  parts: readonly string[];
  rules: HouseRules;
}) {
  const { site } = useSession();
  const volume = (litres: number) => shownValue(litres, 'volume', site.unitSystem);
  const { tools, filled, drained } = sheet.fetch;
  const partsRule = ruleWords('parts', rules);
  const drainedTotal = drained.reduce((sum, { litres }) => sum + litres, 0);
  return (
    <details className={styles.fetch}>
      <summary>Fetch first: tools, parts and fluids</summary>
      <dl>
        <dt>Tools</dt>
        <dd>{tools.join(', ') || 'none'}</dd>
        {parts.length ? (
          <>
            <dt>Parts</dt>
            <dd>
              {parts.join(', ')}
              <span className="soft"> (house rule: {partsRule})</span>
            </dd>
          </>
        ) : null}
        {filled.length ? (
          <>
            <dt>Fluids</dt>
            <dd>
              {filled.map(({ fluid, litres }) => `${volume(litres)} ${fluid.toLowerCase()}`).join(', ')}
            </dd>
          </>
        ) : null}
        {drainedTotal > 0 ? (
          <>
            <dt>Room for</dt>
            <dd>{volume(drainedTotal)} that come out; rags</dd>
          </>
        ) : null}
      </dl>
    </details>
  );
}

/** Hands on the machine, and elapsed time for one and for two. */
export function TimeWords({ sheet }: { sheet: Sheet }) {
  const minutes = (value: number) => (
    <>
      <b className="fig">{Math.round(value)}</b> min
    </>
  );
  return (
    <p>
      {minutes(sheet.handsOn)} of work; {minutes(sheet.elapsed.one)} alone, {minutes(sheet.elapsed.two)} for
      two.
    </p>
  );
}
