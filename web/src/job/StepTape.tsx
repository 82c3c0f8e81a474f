import type { JobDto } from '@yugator/contracts';
import type { SheetStep } from '@yugator/core';
import { stepOf } from './useStep.js';

/** How far the sheet is, as notches on a tape; the one in hand is marked. */
export function StepTape({ job, steps, at }: { job: JobDto; steps: readonly SheetStep[]; at: number }) {
  const gap = 352 / Math.max(1, steps.length - 1);
  return (
    <svg viewBox="0 0 368 30" width="100%" height="30" preserveAspectRatio="none" aria-hidden>
      <path d="M4 18H364" stroke="var(--ink)" strokeWidth="1.2" />
      {steps.map((step, index) => {
        const x = 8 + index * gap;
        const isDone = stepOf(job, step.key).isDone;
        return (
          <g key={step.key}>
            {index === at ? <path d={`M${x - 6} 2h12l-6 9z`} fill="var(--copper)" /> : null}
            <path
              d={isDone || index === at ? `M${x} 11v14` : `M${x} 14v8`}
              stroke={index === at ? 'var(--copper)' : 'var(--ink)'}
              strokeWidth={isDone || index === at ? 3 : 1.2}
            />
          </g>
        );
      })}
    </svg>
  );
}
