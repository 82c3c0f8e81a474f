import type { Found, JobDto } from '@yugator/contracts';
import {
  earlierOf,
  figuresOf,
  isInSpec,
  isToBeSet,
  lastFigures,
  measuredAgain,
  strokesSoFar,
  withMeasuredAgain,
} from '@yugator/core';
import type { EarlierFinding, Measurement, SheetStep } from '@yugator/core';
import { Measure } from '../check/Measure.js';
import { useSession } from '../session/useSession.js';
import { dayWords } from '../words/dates.js';

/** A step with what was found at it. */
export interface StepPartProps {
  readonly job: JobDto;
  readonly step: SheetStep;
  readonly found: Found;
  readonly onFound: (found: Found) => void;
  readonly disabled?: boolean;
}

/** What earlier visits found of the same: a figure tells more beside the last ones. */
function EarlierPart({
  measurement,
  earlier,
}: {
  readonly measurement: Measurement;
  readonly earlier: readonly EarlierFinding[];
}) {
  const { site, today } = useSession();
  const own = earlierOf(measurement, earlier);
  const strokes = measurement.kind === 'grease' ? strokesSoFar(own) : null;
  const last = lastFigures(own, site.unitSystem);
  if (strokes)
    return (
      <p className="soft">
        It took {strokes.last.join(', ')} (latest first); on average {strokes.average.toFixed(1)}.
      </p>
    );
  return last ? (
    <p className="soft">
      Last time, {dayWords(last.on, today)}: {last.words}.
    </p>
  ) : null;
}

/** Where what was measured is out and can be set: how, and what it comes to then. What was found at first stays beside it. */
function SetPart({ step, found, onFound, disabled = false }: Omit<StepPartProps, 'job'>) {
  const { measurement, setBy } = step;
  const again = measuredAgain(found);
  if (!measurement || setBy === null) return null;
  if (!isToBeSet(step, found) && Object.keys(again).length === 0) return null;
  return (
    <>
      <p style={{ marginTop: 8 }}>{setBy}</p>
      <Measure
        measurement={measurement}
        legend="After setting"
        values={again}
        onChange={(values) => onFound(withMeasuredAgain(found, values))}
        disabled={disabled}
      />
      {isInSpec(measurement, again) === false ? (
        <p>If it cannot be set, say of its item that it was found defective.</p>
      ) : null}
    </>
  );
}

function wordsOf(found: Found): Found {
  return Object.fromEntries(Object.entries(found).filter(([, value]) => typeof value === 'string'));
}

/** What a step measures: its figures, what earlier visits found, and what it was set to. */
export function MeasurePart({ job, step, found, onFound, disabled = false }: StepPartProps) {
  if (!step.measurement) return null;
  return (
    <>
      <Measure
        measurement={step.measurement}
        values={figuresOf(found)}
        onChange={(values) => onFound({ ...wordsOf(found), ...values })}
        disabled={disabled}
      />
      <EarlierPart measurement={step.measurement} earlier={job.earlier} />
      <SetPart step={step} found={found} onFound={onFound} disabled={disabled} />
    </>
  );
}
