import type { JobDto } from '@yugator/contracts';
import { defectsFound, jobFindings } from '@yugator/core';
import { useMemo } from 'react';

/** What was found that is a defect by itself: the sign-off takes it down. */
export function FoundDefects({ job: { setUp, steps, defects } }: { job: JobDto }) {
  const words = useMemo(() => {
    const found = steps.flatMap(({ key, isDone, found: own }) =>
      isDone && own ? [[key, own] as const] : [],
    );
    const open = defects.map((defect) => defect.words);
    return defectsFound(jobFindings(setUp, new Map(found)), open).map((defect) => defect.words);
  }, [setUp, steps, defects]);
  if (words.length === 0) return null;
  return (
    <div>
      <p>
        <b>Taken down as {words.length === 1 ? 'a defect' : 'defects'}, to be mended soon</b>
      </p>
      <ul>
        {words.map((each) => (
          <li key={each}>{each}</li>
        ))}
      </ul>
    </div>
  );
}
