import type { VesselsDto } from '@yugator/contracts';
import { drainPlan, shownValue } from '@yugator/core';
import { useSession } from '../session/useSession.js';

interface Props {
  readonly litres: readonly number[];
  readonly vessels: VesselsDto;
  readonly vessel: 'pan' | 'extractor';
}

/** What comes out against the pan or extractor and the used-oil container. */
export function DrainWords({ litres, vessels, vessel }: Props) {
  const { site } = useSession();
  const volume = (value: number) => shownValue(value, 'volume', site.unitSystem);
  const capacity = vessel === 'pan' ? vessels.panLitres : vessels.extractorLitres;
  const plan = drainPlan({ litres, capacity, roomInContainer: vessels.roomLitres });
  const loads =
    plan.emptyings <= litres.length
      ? `the ${vessel} of ${volume(capacity)} takes it`
      : `the ${vessel} of ${volume(capacity)} must be emptied ${plan.emptyings} times`;
  return (
    <p>
      About <b>{volume(plan.total)}</b> come out: {loads}.{' '}
      {plan.tooMuch > 0 ? (
        <b>The used-oil container has room for {volume(vessels.roomLitres)} only: have it collected first.</b>
      ) : (
        <span className="soft">The used-oil container has room for {volume(vessels.roomLitres)}.</span>
      )}
    </p>
  );
}
