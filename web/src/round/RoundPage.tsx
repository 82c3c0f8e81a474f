import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import type { EnterRoundDto, RoundDto, RoundMeterDto, RoundResultDto } from '@yugator/contracts';
import { useCallback, useRef, useState } from 'react';
import type { FormEvent, KeyboardEvent } from 'react';
import { Link } from 'react-router';
import { pointerParts } from '@yugator/contracts';
import { ApiProblem, sentenceOf } from '../api/problem.js';
import { useKept } from '../outbox/useKept.js';
import { waitsWords } from '../outbox/waitsWords.js';
import { Caution } from '../page/Caution.js';
import { Empty } from '../page/Empty.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { useNotice } from '../page/Notice.js';
import { PageHead } from '../page/PageHead.js';
import { useMayRound } from '../session/useSession.js';
import { countWords, parseFigure } from '../words/figures.js';
import { judgeTyped } from './judge.js';
import { PasteReadings } from './PasteReadings.js';
import { ReadingRow } from './ReadingRow.js';
import styles from './round.module.css';
import { roundQueries } from './roundQueries.js';
import { roundWords } from './roundWords.js';
import { useDraft } from './useDraft.js';
import { useNow } from './useNow.js';

/** Moves between the figures with Enter and the arrow keys, as one walks. */
function moveOn(event: KeyboardEvent<HTMLFormElement>): void {
  const step = event.key === 'Enter' || event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
  if (step === 0 || !(event.target instanceof HTMLInputElement) || event.ctrlKey || event.metaKey) return;
  const figures = [...event.currentTarget.querySelectorAll<HTMLInputElement>('input[inputmode=decimal]')];
  const next = figures[figures.indexOf(event.target) + step];
  event.preventDefault();
  next?.focus();
  next?.select();
  if (!next && step === 1) event.currentTarget.querySelector<HTMLElement>('button[type=submit]')?.focus();
}

function bySheds(meters: readonly RoundMeterDto[]): [string, RoundMeterDto[]][] {
  const sheds = new Map<string, RoundMeterDto[]>();
  for (const meter of meters) sheds.set(meter.shed, [...(sheds.get(meter.shed) ?? []), meter]);
  return [...sheds];
}

type ByMeter<T> = Readonly<Record<string, T>>;

/** What was typed in a round, how each figure is judged, and what goes with it. */
function useTypedRound(round: RoundDto) {
  const [draft, type, clear] = useDraft('round');
  const [confirmed, setConfirmed] = useState<ByMeter<string>>({});
  const [photos, setPhotos] = useState<ByMeter<string | null>>({});
  const now = useNow();
  const verdicts = new Map(
    round.meters.map((meter) => [meter.key, judgeTyped(draft[meter.key] ?? '', meter, now)]),
  );
  const typed = round.meters.filter(({ key }) => verdicts.get(key)?.kind !== 'empty');
  // A figure is confirmed as it was typed: another figure is another question.
  const isConfirmed = ({ key }: RoundMeterDto) =>
    confirmed[key] !== undefined && confirmed[key] === draft[key];
  const wrong = typed.filter((meter) => {
    const kind = verdicts.get(meter.key)?.kind;
    return kind === 'unusual' ? !isConfirmed(meter) : kind !== 'accepted';
  });
  const confirm = useCallback(
    (key: string, figure: string) => setConfirmed((before) => ({ ...before, [key]: figure })),
    [],
  );
  const keepPhoto = useCallback(
    (key: string, jpeg: string | null) => setPhotos((before) => ({ ...before, [key]: jpeg })),
    [],
  );
  const readings = () =>
    typed.map((meter) => {
      const photo = photos[meter.key];
      return {
        machineId: meter.machineId,
        meter: meter.meter,
        shown: parseFigure(draft[meter.key] ?? ''),
        ...(isConfirmed(meter) ? { confirmed: true } : {}),
        ...(photo ? { photo } : {}),
      };
    });
  const forget = () => {
    clear(typed.map(({ key }) => key));
    setPhotos({});
  };
  return { draft, type, verdicts, typed, wrong, isConfirmed, confirm, photos, keepPhoto, readings, forget };
}

/** A refusal by the tags of the machines that it is about. */
function refusalWords(error: Error, typed: readonly RoundMeterDto[]): string {
  const faults = error instanceof ApiProblem ? error.faults : [];
  const tags = faults.map(
    ({ pointer, detail }) => `${typed[Number(pointerParts(pointer)[1])]?.tag ?? ''}: ${detail}`,
  );
  return tags.length ? tags.join(' ') : sentenceOf(error);
}

function notYetWords(wrong: number): string {
  const them = wrong === 1 ? 'it' : 'them';
  return `${countWords(wrong, 'reading')} cannot be kept yet; nothing was saved. Correct, confirm or empty ${them}.`;
}

function RoundForm({ round, mayEnter }: { round: RoundDto; mayEnter: boolean }) {
  const typedRound = useTypedRound(round);
  const { draft, type, verdicts, typed, wrong, isConfirmed, confirm, photos, keepPhoto } = typedRound;
  const [problem, setProblem] = useState<string | null>(null);
  const form = useRef<HTMLFormElement>(null);
  const say = useNotice();
  const enter = useKept<RoundResultDto, EnterRoundDto>(
    (body) => ({
      method: 'POST',
      path: '/round',
      body,
      typed: roundWords(body, (machineId, key) =>
        round.meters.find((one) => one.machineId === machineId && one.meter === key),
      ),
    }),
    ['readings'],
  );
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (enter.isPending) return;
    if (typed.length === 0) return setProblem('Type at least one reading.');
    if (wrong.length) {
      setProblem(notYetWords(wrong.length));
      return form.current?.querySelector<HTMLInputElement>('input[aria-invalid=true]')?.focus();
    }
    setProblem(null);
    enter.mutate(
      { readings: typedRound.readings() },
      {
        onSuccess: (answer) => {
          typedRound.forget();
          say(answer ? `${countWords(answer.kept, 'reading')} kept.` : waitsWords('Your readings'));
        },
        onError: (error) => setProblem(refusalWords(error, typed)),
      },
    );
  };

  return (
    <form ref={form} onSubmit={submit} onKeyDown={moveOn} noValidate>
      {mayEnter ? <PasteReadings meters={round.meters} onType={type} /> : null}
      {bySheds(round.meters).map(([shed, meters]) => (
        <fieldset key={shed} className={styles.shed} disabled={!mayEnter}>
          <legend>{shed}</legend>
          {meters.map((meter) => (
            <ReadingRow
              key={meter.key}
              meter={meter}
              typed={draft[meter.key] ?? ''}
              verdict={verdicts.get(meter.key) ?? { kind: 'empty' }}
              onType={type}
              confirmed={isConfirmed(meter)}
              onConfirm={confirm}
              photo={photos[meter.key] ?? null}
              onPhoto={keepPhoto}
            />
          ))}
        </fieldset>
      ))}
      {mayEnter ? (
        <div className={styles.foot}>
          {problem ? <Caution title="Not saved">{<p>{problem}</p>}</Caution> : null}
          <Button type="submit" variant="contained" color="primary" size="large" loading={enter.isPending}>
            {typed.length ? `Keep ${countWords(typed.length, 'reading')}` : 'Keep readings'}
          </Button>
          <span className="soft">Enter or ↓ goes to the next machine, ↑ back.</span>
        </div>
      ) : null}
    </form>
  );
}

/** The fleet's hour meters in walking order, checked as they are typed. */
export function RoundPage() {
  const { data, error, refetch } = useQuery(roundQueries.round());
  const mayEnter = useMayRound();
  if (!data) return error ? <Failed error={error} again={refetch} /> : <Loading />;
  return (
    <>
      <PageHead
        name="Round"
        title="Round the sheds"
        under={
          mayEnter
            ? 'Type what each meter shows. Leave out what you did not read.'
            : 'Your role looks at readings but does not enter them.'
        }
      />
      {data.meters.length ? (
        <RoundForm round={data} mayEnter={mayEnter} />
      ) : (
        <Empty title="There is no meter to read yet.">
          <Link to="/fleet">Register machines in Fleet</Link>
        </Empty>
      )}
    </>
  );
}
