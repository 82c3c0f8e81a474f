import { fluidFaultWords, judgeFluid } from '@yugator/core';
import type { FluidJudgement, FluidPlace, FluidTraits } from '@yugator/core';
import { Caution } from '../page/Caution.js';
import { useSession } from '../session/useSession.js';

/** What is told of a judged fluid; nothing where it suits. */
export function JudgedFluid({ judgement: { verdict, faults } }: { judgement: FluidJudgement }) {
  const { site } = useSession();
  if (verdict === 'suits') return null;
  return (
    <Caution
      title={verdict === 'stop' ? 'It does not belong there' : 'Look twice'}
      quiet={verdict === 'doubt'}
    >
      <p>{fluidFaultWords(faults, site.unitSystem)}</p>
      {verdict === 'stop' ? <p>The crew lead alone may go on with it, and says why.</p> : null}
    </Caution>
  );
}

/** Whether a fluid may go where it is to go, and why not. */
export function FluidVerdict({ fluid, place }: { fluid: FluidTraits | null; place: FluidPlace }) {
  const judgement = judgeFluid(fluid, place);
  return judgement.verdict === 'suits' ? (
    <p>By its label it suits the card.</p>
  ) : (
    <JudgedFluid judgement={judgement} />
  );
}
