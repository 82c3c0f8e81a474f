import type { MachineClass } from '@yugator/contracts';
import { linePreview, usualMachine } from '@yugator/core';
import { useMemo } from 'react';
import { LOOK_WORDS } from '../check/lookWords.js';
import { countWords } from '../words/figures.js';
import type { DraftLine } from './bookDraft.js';
import styles from './books.module.css';

/** What a line becomes on a sheet: "9 steps, 30 min; looks at air filter"; or what is still to be said of it. */
export function LineWork({ line, machineClass }: { line: DraftLine; machineClass: MachineClass }) {
  const { action, components, oldWords } = line;
  const preview = useMemo(
    () => (components.length ? linePreview(action, components, usualMachine(machineClass)) : null),
    [action, components, machineClass],
  );
  if (!preview) {
    return oldWords ? <p className={styles.unsettled}>Was “{oldWords}”: choose what that is.</p> : null;
  }
  const { steps, minutes, looks, procedures, isByTheBook } = preview;
  const sizes = `${countWords(steps, 'step')}, ${minutes} min`;
  const seen = looks.map((look) => LOOK_WORDS[look]).join(', ');
  return (
    <p className={styles.work}>
      {procedures.length ? sizes : 'One step: as its book says'}
      {procedures.length && isByTheBook ? ', some of it as its book says' : ''}
      {seen ? `; looks at ${seen}` : ''}
    </p>
  );
}
