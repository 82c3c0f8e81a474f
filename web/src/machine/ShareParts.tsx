import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useQuery } from '@tanstack/react-query';
import { SHARED_PARTS } from '@yugator/contracts';
import type { MachineDetailDto, SharedPart, ShareDto } from '@yugator/contracts';
import { useState } from 'react';
import { sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { DialogButton } from '../form/DialogButton.js';
import { FormDialog } from '../form/FormDialog.js';
import { useNotice } from '../page/Notice.js';
import { countWords } from '../words/figures.js';
import { fleetQueries } from './fleetQueries.js';

const PART_WORDS: Record<SharedPart, string> = {
  spec: 'Spec card',
  books: 'Service books',
  seasons: 'Seasons and planned hours',
  attachments: 'Attachments',
  overrides: 'Departures from the books',
  fits: 'What fits: parts and fluids',
};

function toggled<T>(list: readonly T[], value: T, on: boolean): T[] {
  return on ? [...list, value] : list.filter((each) => each !== value);
}

interface Props {
  readonly machine: MachineDetailDto;
  /** what is ticked at first */
  readonly parts?: readonly SharedPart[];
}

function ShareForm({ machine, parts: first = ['spec'], onDone }: Props & { onDone: () => void }) {
  const say = useNotice();
  const fleet = useQuery(fleetQueries.list());
  const others = (fleet.data ?? []).filter(
    (other) =>
      other.id !== machine.id && other.machineClass === machine.machineClass && other.status !== 'retired',
  );
  const [parts, setParts] = useState<readonly SharedPart[]>(first);
  const [changed, setChanged] = useState<readonly string[] | null>(null);
  const same = others
    .filter(({ make, model }) => make === machine.make && model === machine.model)
    .map(({ id }) => id);
  const chosen = changed ?? same;
  const share = useWrite<MachineDetailDto, ShareDto>(
    (body) => ({ method: 'POST', path: `/machines/${machine.id}/share`, body }),
    ['machines'],
    () => {
      say(`Handed on to ${countWords(chosen.length, 'machine')}.`);
      onDone();
    },
  );
  const isEmpty = parts.length === 0 || chosen.length === 0;
  return (
    <FormDialog
      title={`Hand on from ${machine.tag}`}
      problem={
        share.error
          ? sentenceOf(share.error)
          : isEmpty
            ? 'Choose what to hand on, and to which machines.'
            : null
      }
      problemTitle="Not handed on"
      submitWord={`Hand on to ${countWords(chosen.length, 'machine')}`}
      pending={share.isPending}
      onSubmit={() => (isEmpty ? undefined : share.mutate({ parts: [...parts], machineIds: [...chosen] }))}
      onLeave={onDone}
    >
      <p className="soft">What is handed on replaces what the others have.</p>
      <fieldset style={{ border: 0, padding: 0, margin: 0 }}>
        <legend>
          <b>What</b>
        </legend>
        {SHARED_PARTS.map((part) => (
          <FormControlLabel
            key={part}
            label={PART_WORDS[part]}
            control={
              <Checkbox
                checked={parts.includes(part)}
                onChange={(_event, on) => setParts(toggled(parts, part, on))}
              />
            }
          />
        ))}
      </fieldset>
      <fieldset style={{ border: 0, padding: 0, margin: 0 }}>
        <legend>
          <b>To the other machines of its class</b>
        </legend>
        {others.map((other) => (
          <FormControlLabel
            key={other.id}
            label={`${other.tag} ${other.name}`}
            control={
              <Checkbox
                checked={chosen.includes(other.id)}
                onChange={(_event, on) => setChanged(toggled(chosen, other.id, on))}
              />
            }
          />
        ))}
      </fieldset>
    </FormDialog>
  );
}

/** Changes class-wide things once: gives parts of this machine to others of its class. */
export function ShareParts(props: Props) {
  return (
    <DialogButton word="Hand on to others of its class">
      {(close) => <ShareForm {...props} onDone={close} />}
    </DialogButton>
  );
}
