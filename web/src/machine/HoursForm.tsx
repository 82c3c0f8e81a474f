import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import type { EnterRoundDto, RoundMeterDto, RoundResultDto } from '@yugator/contracts';
import type { MeterName } from '@yugator/core';
import { useState } from 'react';
import { sentenceOf } from '../api/problem.js';
import { FormDialog } from '../form/FormDialog.js';
import { useKept } from '../outbox/useKept.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { useNotice } from '../page/Notice.js';
import { PhotoField } from '../photo/PhotoField.js';
import { judgeTyped } from '../round/judge.js';
import { roundQueries } from '../round/roundQueries.js';
import { roundWords } from '../round/roundWords.js';
import { useNow } from '../round/useNow.js';
import { verdictWords } from '../round/verdictWords.js';
import { waitsWords } from '../outbox/waitsWords.js';
import { hoursWords, parseFigure } from '../words/figures.js';

/** A meter of a machine. */
export interface MeterRef {
  readonly machineId: string;
  readonly meter: MeterName;
}

function KnownMeter({ meter, onDone }: { meter: RoundMeterDto; onDone: () => void }) {
  const [typed, setTyped] = useState('');
  const [photo, setPhoto] = useState<string | null>(null);
  const [tried, setTried] = useState(false);
  const now = useNow();
  const say = useNotice();
  const enter = useKept<RoundResultDto, EnterRoundDto>(
    (body) => ({
      method: 'POST',
      path: '/round',
      body,
      typed: roundWords(body, (machineId) => (machineId === meter.machineId ? meter : undefined)),
    }),
    ['readings'],
    (answer) => {
      say(answer ? `${meter.tag}: reading kept.` : waitsWords(meter.tag));
      onDone();
    },
  );
  const verdict = judgeTyped(typed, meter, now);
  const isWrong =
    verdict.kind === 'refused' ||
    verdict.kind === 'unusual' ||
    verdict.kind === 'notAFigure' ||
    (tried && verdict.kind === 'empty');
  const last = meter.readings.at(-1);
  const submit = () => {
    setTried(true);
    const reading = {
      machineId: meter.machineId,
      meter: meter.meter,
      shown: parseFigure(typed),
      ...(photo === null ? {} : { photo }),
    };
    if (verdict.kind === 'accepted') enter.mutate({ readings: [reading] });
    // Asked once more in so many words, the same figure is meant.
    if (verdict.kind === 'unusual' && tried) enter.mutate({ readings: [{ ...reading, confirmed: true }] });
  };
  return (
    <FormDialog
      title={`${meter.tag} ${meter.name}: hours now`}
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
      <PhotoField of={`the meter: ${meter.tag}`} jpeg={photo} onChange={setPhoto} />
    </FormDialog>
  );
}

/** Asks what a meter shows now, and judges it while it is typed. */
export function HoursForm({ machineId, meter, onDone }: MeterRef & { onDone: () => void }) {
  const { data, error, refetch } = useQuery(roundQueries.round());
  const own = data?.meters.find((one) => one.machineId === machineId && one.meter === meter);
  if (own) return <KnownMeter meter={own} onDone={onDone} />;
  return error ? <Failed error={error} again={refetch} /> : <Loading rows={2} />;
}
