import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import {
  CAUTIONS,
  leastUnderLoad,
  LOAD_SECONDS,
  parseQuantity,
  RECHARGE_BELOW_VOLTS,
  searchNoStart,
  shownTemperature,
} from '@yugator/core';
import type { SearchAnswers, SearchQuestion } from '@yugator/core';
import type { ReactNode } from 'react';
import { useSearchParams } from 'react-router';
import type { Choices } from '../form/Choose.js';
import { Caution } from '../page/Caution.js';
import { VERDICT_WORDS } from '../defect/searchWords.js';
import styles from './bench.module.css';
import { KeepSearch, SearchedMachine } from './KeepSearch.js';
import { QuantityParam } from './QuantityParam.js';
import { TemperatureParam, useTemperature } from './TemperatureParam.js';
import { useParam, useUnits } from './useParam.js';

const TURNS: Choices<NonNullable<SearchAnswers['turns']>> = [
  ['cranks', 'It turns over as always, but does not fire'],
  ['slow', 'It turns slowly, or only clicks'],
  ['nothing', 'Nothing at all'],
];
const TESTER: Choices<NonNullable<SearchAnswers['tester']>> = [
  ['atHand', 'There is a load tester'],
  ['none', 'There is none: go on without'],
];
const TERMINALS: Choices<NonNullable<SearchAnswers['terminals']>> = [
  ['good', 'Bright and tight, the earth at frame and engine too'],
  ['bad', 'Loose, green or white'],
];
const FUSE: Choices<NonNullable<SearchAnswers['fuse']>> = [
  ['whole', 'Whole'],
  ['blown', 'Blown'],
];
const SWITCHES: Choices<NonNullable<SearchAnswers['switches']>> = [
  ['same', 'No, whatever is moved'],
  ['starts', 'Yes, with one of them moved'],
];

function keyIn<K extends string>(choices: Choices<K>, typed: string | null): K | undefined {
  return choices.find(([key]) => key === typed)?.[0];
}

/** What the address says so far. */
function useAnswers(): SearchAnswers {
  const [params] = useSearchParams();
  const volts = (name: string) => parseQuantity(params.get(name) ?? '', 'voltage', 'V') ?? undefined;
  const celsius = useTemperature('celsius', '') ?? undefined;
  const answers = {
    turns: keyIn(TURNS, params.get('turns')),
    rest: volts('rest'),
    charged: volts('charged'),
    load: volts('load'),
    celsius,
    terminals: keyIn(TERMINALS, params.get('terminals')),
    tester: keyIn(TESTER, params.get('tester')),
    fuse: keyIn(FUSE, params.get('fuse')),
    switches: keyIn(SWITCHES, params.get('switches')),
  };
  return Object.fromEntries(Object.entries(answers).filter(([, answer]) => answer !== undefined));
}

function Pick({
  name,
  label,
  choices,
  usual = '',
}: {
  name: string;
  label: string;
  choices: Choices<string>;
  usual?: string;
}) {
  const [value, choose] = useParam(name, usual);
  return (
    <RadioGroup value={value} onChange={(_event, key) => choose(key)} aria-label={label}>
      {choices.map(([key, words]) => (
        <FormControlLabel key={key} value={key} control={<Radio />} label={words} sx={{ minHeight: 44 }} />
      ))}
    </RadioGroup>
  );
}

function Volts({ name, label }: { name: string; label: string }) {
  return (
    <div className={styles.fields}>
      <QuantityParam name={name} usual="" label={label} dimension="voltage" mayBeEmpty />
    </div>
  );
}

function LoadTest({ celsius, turns, tester }: SearchAnswers) {
  const units = useUnits();
  const least =
    celsius === undefined
      ? ''
      : ` At ${shownTemperature(celsius, units)} it must stand at ${leastUnderLoad(celsius).toFixed(1)} V or more.`;
  const byTester = `With a tester: half of its cold-cranking amperes for ${LOAD_SECONDS} s.`;
  const byCranking = `Without: fuel shut off or the plug wires off and earthed, crank for ${LOAD_SECONDS} s at most.`;
  const cranks = turns !== 'nothing';
  return (
    <>
      {cranks ? null : <Pick name="tester" label="Load tester" choices={TESTER} usual="atHand" />}
      {cranks || tester !== 'none' ? (
        <>
          <p>
            {byTester} {cranks ? byCranking : ''} Read the voltage at the posts at the end.{least}
          </p>
          <div className={styles.fields}>
            <QuantityParam name="load" usual="" label="Under load, V" dimension="voltage" mayBeEmpty />
            <TemperatureParam name="celsius" usual="" label="Battery" mayBeEmpty />
          </div>
        </>
      ) : null}
    </>
  );
}

const QUESTIONS: Record<SearchQuestion, { readonly title: string; show(answers: SearchAnswers): ReactNode }> =
  {
    turns: {
      title: 'Turn the key. What does it do?',
      show: () => <Pick name="turns" label="What it does" choices={TURNS} />,
    },
    rest: {
      title: 'Rest voltage, before anything is charged',
      show: () => <Volts name="rest" label="At rest, V" />,
    },
    charged: {
      title: 'Charge it, let it rest for some hours, and measure again',
      show: () => (
        <>
          <p>
            At 2 A or less, indoors, with air around it. Below {RECHARGE_BELOW_VOLTS} V nothing else can be
            judged.
          </p>
          <Volts name="charged" label="After the charge, V" />
        </>
      ),
    },
    load: { title: 'Load test', show: (answers) => <LoadTest {...answers} /> },
    terminals: {
      title: 'Terminals and earth: pull at them',
      show: () => <Pick name="terminals" label="Terminals and earth" choices={TERMINALS} />,
    },
    fuse: { title: 'The main fuse', show: () => <Pick name="fuse" label="The main fuse" choices={FUSE} /> },
    switches: {
      title: 'Somebody in the seat, brake on, blades off, neutral: does it start while one of them is moved?',
      show: () => <Pick name="switches" label="Safety switches" choices={SWITCHES} />,
    },
  };

/** What the address says of whom the search is about; the answers are gone. */
function machineOnly(before: URLSearchParams): URLSearchParams {
  const about = ['machine', 'defect'].flatMap((name) => {
    const id = before.get(name);
    return id === null ? [] : [[name, id]];
  });
  return new URLSearchParams(about);
}

/** Why a machine does not start, question by question, from the cheapest look to the dearest. */
export function NoStartTool() {
  const answers = useAnswers();
  const [, setParams] = useSearchParams();
  const { asked, verdict } = searchNoStart(answers);
  return (
    <>
      <SearchedMachine />
      <Caution title={`${CAUTIONS.machineMoves.title}.`} quiet>
        <p>Brake on, in neutral, blades off, nobody in front. {CAUTIONS.batteryOrder.text}</p>
      </Caution>
      <ol className={styles.search}>
        {asked.map((question) => (
          <li key={question}>
            <h2>{QUESTIONS[question].title}</h2>
            {QUESTIONS[question].show(answers)}
          </li>
        ))}
      </ol>
      <div role="status">
        {verdict ? (
          <div className={styles.verdict}>
            <p className={styles.answer}>{VERDICT_WORDS[verdict].title}</p>
            <p>{VERDICT_WORDS[verdict].words}</p>
            <KeepSearch answers={answers} verdict={verdict} />
          </div>
        ) : null}
      </div>
      {asked.length > 1 ? (
        <Button onClick={() => setParams((before) => machineOnly(before), { replace: true })}>
          Begin again
        </Button>
      ) : null}
    </>
  );
}
