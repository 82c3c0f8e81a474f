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
import type { SearchAnswers, SearchQuestion, SearchVerdict } from '@yugator/core';
import type { ReactNode } from 'react';
import { useSearchParams } from 'react-router';
import type { Choices } from '../form/Choose.js';
import { Caution } from '../page/Caution.js';
import styles from './bench.module.css';
import { QuantityParam } from './QuantityParam.js';
import { TemperatureParam, useTemperature } from './TemperatureParam.js';
import { useParam, useUnits } from './useParam.js';

const TURNS: Choices<NonNullable<SearchAnswers['turns']>> = [
  ['cranks', 'It turns over as always, but does not fire'],
  ['slow', 'It turns slowly, or only clicks'],
  ['nothing', 'Nothing at all'],
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

const VERDICTS: Record<SearchVerdict, { readonly title: string; readonly words: string }> = {
  newBattery: {
    title: 'A new battery',
    words:
      'It holds no charge, or breaks down under load. Same size, same posts, no fewer cold-cranking amperes; the old one goes back to the dealer. Measure the charging voltage once it runs, or the new one dies like the old.',
  },
  cleanTerminals: {
    title: 'Clean the terminals and the earth',
    words: 'Negative off first, positive next; brush, tighten, positive back first. Then try again.',
  },
  newFuse: {
    title: 'A new fuse of the same figure, once',
    words: 'A second one that blows has a cause: a chafed wire, a stuck starter. Never a bigger one.',
  },
  safetySwitch: {
    title: 'The switch that was moved',
    words:
      'Adjust it, or replace it. Never bridge it, not for a day: it is what stops the blades when somebody falls off.',
  },
  fuelOrSpark: {
    title: 'Not the battery: fuel, air or spark',
    words:
      'Fuel in the tank, tap and cut-off open; fuel filter; air filter; then plugs, or pre-heating. What is left is for the technician.',
  },
  technician: {
    title: 'Stop here: a technician',
    words: 'What a crew can look at is good. Starter, solenoid and wiring need their tester.',
  },
};

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
    fuse: keyIn(FUSE, params.get('fuse')),
    switches: keyIn(SWITCHES, params.get('switches')),
  };
  return Object.fromEntries(Object.entries(answers).filter(([, answer]) => answer !== undefined));
}

function Pick({ name, label, choices }: { name: string; label: string; choices: Choices<string> }) {
  const [value, choose] = useParam(name, '');
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

function LoadTest({ celsius }: { celsius: number | undefined }) {
  const units = useUnits();
  const least =
    celsius === undefined
      ? ''
      : ` At ${shownTemperature(celsius, units)} it must stand at ${leastUnderLoad(celsius).toFixed(1)} V or more.`;
  return (
    <>
      <p>
        With a tester: half of its cold-cranking amperes for {LOAD_SECONDS} s. Without: fuel shut off or the
        plug wires off and earthed, crank for {LOAD_SECONDS} s at most. Read the voltage at the posts at the
        end.{least}
      </p>
      <div className={styles.fields}>
        <QuantityParam name="load" usual="" label="Under load, V" dimension="voltage" mayBeEmpty />
        <TemperatureParam name="celsius" usual="" label="Battery" mayBeEmpty />
      </div>
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
    load: { title: 'Load test', show: ({ celsius }) => <LoadTest celsius={celsius} /> },
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

/** Why a machine does not start, question by question, from the cheapest look to the dearest. */
export function NoStartTool() {
  const answers = useAnswers();
  const [, setParams] = useSearchParams();
  const { asked, verdict } = searchNoStart(answers);
  return (
    <>
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
            <p className={styles.answer}>{VERDICTS[verdict].title}</p>
            <p>{VERDICTS[verdict].words}</p>
          </div>
        ) : null}
      </div>
      {asked.length > 1 ? (
        <Button onClick={() => setParams({}, { replace: true })}>Begin again</Button>
      ) : null}
    </>
  );
}
