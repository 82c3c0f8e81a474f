import type { DefectDto } from '@yugator/contracts';
import { Caution } from '../page/Caution.js';
import { SEVERITY_WORDS } from './outcomeWords.js';

/** What is wrong with the machine of a visit. */
export function OpenDefects({ defects }: { defects: readonly DefectDto[] }) {
  if (defects.length === 0) return null;
  return (
    <Caution title="Open defects" quiet>
      {defects.map(({ id, words, severity }) => (
        <p key={id}>
          {words} ({SEVERITY_WORDS[severity]})
        </p>
      ))}
    </Caution>
  );
}
