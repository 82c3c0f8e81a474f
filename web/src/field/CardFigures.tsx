import type { MachineDetailDto, SpecCardDto } from '@yugator/contracts';
import { capital, componentSpec, shownRange, shownValue } from '@yugator/core';
import type { UnitSystem } from '@yugator/core';
import { useSession } from '../session/useSession.js';
import styles from './field.module.css';

type Figure = readonly [of: string, words: string];

function fluidsOf({ fluids }: SpecCardDto, units: UnitSystem): Figure[] {
  return fluids.map(({ component, fluid, litresWithFilter, grades }) => [
    component ? capital(componentSpec(component).words) : fluid,
    [shownValue(litresWithFilter, 'volume', units), ...grades.map(({ grade }) => grade)].join(', '),
  ]);
}

function tyresOf({ tyres }: SpecCardDto, units: UnitSystem): Figure[] {
  return tyres.map(({ axle, low, high, sidewallMaximum }) => [
    `${capital(axle)} tyres`,
    `${shownRange({ low, high }, 'pressure', units)}, never above ${shownValue(sidewallMaximum, 'pressure', units)}`,
  ]);
}

function plugsOf({ plugs }: SpecCardDto, units: UnitSystem): Figure[] {
  return plugs.map(({ type, gap }) => ['Spark plugs', `${type}, gap ${shownValue(gap, 'length', units)}`]);
}

/** The figures of the card that are wanted before the machine: what goes in, and how hard the tyres are. */
export function CardFigures({ machine }: { machine: MachineDetailDto }) {
  const { site } = useSession();
  const { spec } = machine;
  const units = site.unitSystem;
  const figures = [...fluidsOf(spec, units), ...tyresOf(spec, units), ...plugsOf(spec, units)];
  if (figures.length === 0) return null;
  return (
    <section aria-label="From its card">
      <h2>From its card</h2>
      <dl className={styles.figures}>
        {figures.map(([of, words], at) => (
          <div key={at}>
            <dt>{of}</dt>
            <dd>{words}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
