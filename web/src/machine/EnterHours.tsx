import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import type { EnterRoundDto, MachineDto, RoundMachineDto, RoundResultDto } from '@yugator/contracts';
import { useState } from 'react';
import { sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { DialogButton } from '../form/DialogButton.js';
import { FormDialog } from '../form/FormDialog.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { useNotice } from '../page/Notice.js';
import { judgeTyped } from '../round/judge.js';
import { roundQueries } from '../round/roundQueries.js';
import { useNow } from '../round/useNow.js';
import { verdictWords } from '../round/verdictWords.js';
import { hoursWords, parseFigure } from '../words/figures.js';

function HoursForm({ machine, onDone }: { machine: RoundMachineDto; onDone: () => void }) {
  const [typed, setTyped] = useState('');
  const [tried, setTried] = useState(false);
  const now = useNow();
  const say = useNotice();
  const enter = useWrite<RoundResultDto, EnterRoundDto>(
    (body) => ({ method: 'POST', path: '/round', body }),
    ['readings'],
    () => {
      say(`${machine.tag}: reading kept.`);
      onDone();
    },
  );
  const verdict = judgeTyped(typed, machine, now);
  const isWrong =
    verdict.kind === 'refused' ||
    verdict.kind === 'unusual' ||
    verdict.kind === 'notAFigure' ||
    (tried && verdict.kind === 'empty');
  const last = machine.readings.at(-1);
  const submit = () => {
    setTried(true);
    const reading = { machineId: machine.id, shown: parseFigure(typed) };
    if (verdict.kind === 'accepted') enter.mutate({ readings: [reading] });
    // Asked once more in so many words, the same figure is meant.
    if (verdict.kind === 'unusual' && tried) enter.mutate({ readings: [{ ...reading, confirmed: true }] });
  };
  return (
    <FormDialog
      title={`${machine.tag} ${machine.name}: hours now`}
      problem={enter.error ? sentenceOf(enter.error) : null}
      submitWord={verdict.kind === 'unusual' && tried ? 'It is right, keep it' : 'Keep'}
      pending={enter.isPending}
      onSubmit={submit}
      onLeave={onDone}
    >
      <TextField
        label="The meter shows"
        value={typed}
        onChange={(event) => {
          setTyped(event.target.value);
          setTried(false);
        }}
        error={isWrong}
        helperText={
          verdictWords(verdict) ||
          (isWrong ? 'Type what the meter shows.' : `Last: ${last ? hoursWords(last.shown) : 'none'} h`)
        }
        autoFocus
        slotProps={{
          htmlInput: { inputMode: 'decimal', autoComplete: 'off', className: 'fig', style: { fontSize: 26 } },
        }}
      />
    </FormDialog>
  );
}

function HoursOf({ machineId, onDone }: { machineId: string; onDone: () => void }) {
  const { data, error, refetch } = useQuery(roundQueries.round());
  const own = data?.machines.find(({ id }) => id === machineId);
  if (own) return <HoursForm machine={own} onDone={onDone} />;
  return error ? <Failed error={error} again={refetch} /> : <Loading rows={2} />;
}

/** Enters one meter's reading from the machine's page. */
export function EnterHours({ machine }: { machine: MachineDto }) {
  return (
    <DialogButton word="Enter hours">
      {(close) => <HoursOf machineId={machine.id} onDone={close} />}
    </DialogButton>
  );
}
