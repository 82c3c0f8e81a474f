import { fetchWords } from '@yugator/contracts';
import type { JobDto, VesselsDto } from '@yugator/contracts';
import { fluidWords, ruleWords, wasteOf } from '@yugator/core';
import type { MachineSetUp, Sheet } from '@yugator/core';
import { Fragment } from 'react';
import { DrainWords } from '../fluid/DrainWords.js';
import { JudgedFluid } from '../fluid/FluidVerdict.js';
import { useSession } from '../session/useSession.js';
import styles from './sheet.module.css';

/** What is fetched first, and how long it takes. */
export function FetchList({
  sheet,
  needed,
  setUp,
  vessels,
}: {
  sheet: Sheet;
  /** what its items take from the shelf */
  needed: Pick<JobDto, 'needs' | 'kits' | 'shed'>;
  setUp: MachineSetUp;
  vessels: VesselsDto;
}) {
  const { site } = useSession();
  const { spec } = setUp;
  const { tools, filled, drained } = sheet.fetch;
  const parts = fetchWords(needed, site.unitSystem);
  const doubtful = [...new Map(needed.needs.map((need) => [need.articleId, need])).values()].filter(
    ({ judgement }) => judgement !== null && judgement.verdict !== 'suits',
  );
  const partsRule = ruleWords('parts', setUp);
  const oils = drained.filter(({ fluid }) => wasteOf(fluid) === 'oil');
  const others = drained.filter(({ fluid }) => wasteOf(fluid) !== 'oil');
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
              {parts.map((part) => (
                <div key={part}>{part}</div>
              ))}
              <span className="soft">House rule: {partsRule}</span>
            </dd>
          </>
        ) : null}
        {doubtful.map(({ articleId, name, judgement }) => (
          <Fragment key={articleId}>
            <dt>Not so sure</dt>
            <dd>
              {name}
              {judgement ? <JudgedFluid judgement={judgement} /> : null}
            </dd>
          </Fragment>
        ))}
        {filled.length ? (
          <>
            <dt>Fluids</dt>
            <dd>{filled.map((each) => fluidWords(each, spec, site.unitSystem)).join('; ')}</dd>
          </>
        ) : null}
        {oils.length ? (
          <>
            <dt>Pan</dt>
            <dd>
              <DrainWords litres={oils.map(({ litres }) => litres)} vessels={vessels} vessel="pan" />
            </dd>
          </>
        ) : null}
        {others.length ? (
          <>
            <dt>Container</dt>
            <dd>
              {others.map((each) => fluidWords(each, { fluids: [] }, site.unitSystem)).join(', ')}, never with
              the oil
            </dd>
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
