import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import type { EnterRoundDto, MachineDto, RoundMachineDto, RoundResultDto } from '@yugator/contracts';
import { useState } from 'react';
import type { FormEvent } from 'react';
import { sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { Caution } from '../page/Caution.js';
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
  );
  const verdict = judgeTyped(typed, machine, now);
  const isWrong =
    verdict.kind === 'refused' || verdict.kind === 'notAFigure' || (tried && verdict.kind === 'empty');
  const last = machine.readings.at(-1);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    setTried(true);
    if (verdict.kind !== 'accepted') return;
    enter.mutate(
      { readings: [{ machineId: machine.id, shown: parseFigure(typed) }] },
      {
        onSuccess: () => {
          say(`${machine.tag}: reading kept.`);
          onDone();
        },
      },
    );
  };
  return (
    <form noValidate onSubmit={submit}>
      <DialogTitle>
        {machine.tag} {machine.name}: hours now
      </DialogTitle>
      <DialogContent>
        {enter.error ? <Caution title="Not saved">{<p>{sentenceOf(enter.error)}</p>}</Caution> : null}
        <TextField
          label="The meter shows"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
          error={isWrong}
          helperText={
            verdictWords(verdict) ||
            (isWrong ? 'Type what the meter shows.' : `Last: ${last ? hoursWords(last.shown) : 'none'} h`)
          }
          autoFocus
          sx={{ mt: 1 }}
          slotProps={{
            htmlInput: {
              inputMode: 'decimal',
              autoComplete: 'off',
              className: 'fig',
              style: { fontSize: 26 },
            },
          }}
        />
      </DialogContent>
      <DialogActions>
        <Button onClick={onDone}>Leave it</Button>
        <Button type="submit" variant="contained" color="primary" loading={enter.isPending}>
          Keep
        </Button>
      </DialogActions>
    </form>
  );
}

/** Enters one meter's reading from the machine's page. */
export function EnterHours({ machine }: { machine: MachineDto }) {
  const [open, setOpen] = useState(false);
  const round = useQuery({ ...roundQueries.round(), enabled: open });
  const own = round.data?.machines.find(({ id }) => id === machine.id);
  return (
    <>
      <Button onClick={() => setOpen(true)}>Enter hours</Button>
      <Dialog open={open} onClose={() => setOpen(false)} aria-label="Enter hours">
        {own ? <HoursForm machine={own} onDone={() => setOpen(false)} /> : <Loading rows={2} />}
      </Dialog>
    </>
  );
}
