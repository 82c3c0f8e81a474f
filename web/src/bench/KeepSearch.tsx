import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import type { DefectDto, ReportDefectDto, SearchDefectDto } from '@yugator/contracts';
import { answersAsked } from '@yugator/core';
import type { SearchAnswers, SearchVerdict } from '@yugator/core';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { sentenceOf } from '../api/problem.js';
import { useKept } from '../outbox/useKept.js';
import { waitsWords } from '../outbox/waitsWords.js';
import { VERDICT_WORDS } from '../defect/searchWords.js';
import { fleetQueries } from '../machine/fleetQueries.js';
import { Caution } from '../page/Caution.js';
import { Plate } from '../page/Plate.js';
import { useNotice } from '../page/Notice.js';
import { useIsOneOf } from '../session/useSession.js';
import styles from './bench.module.css';

interface Props {
  readonly answers: SearchAnswers;
  readonly verdict: SearchVerdict;
}

function wordsOf(verdict: SearchVerdict): string {
  return `Does not start: ${VERDICT_WORDS[verdict].title.toLowerCase()}`;
}

/** Keeps what a search found with the defect that it was opened from, else as a defect of its machine. */
function Keep({ machineId, answers, verdict }: Props & { machineId: string }) {
  const [params] = useSearchParams();
  const { data: machine } = useQuery(fleetQueries.one(machineId));
  const say = useNotice();
  const navigate = useNavigate();
  const defectId = params.get('defect');
  const keep = useKept<DefectDto[], ReportDefectDto | SearchDefectDto>(
    (body) => ({
      method: 'POST',
      path: defectId === null ? `/machines/${machineId}/defects` : `/defects/${defectId}/searches`,
      body,
      typed: { title: `${machine?.tag ?? ''}: why it does not start`, lines: [wordsOf(verdict)] },
    }),
    ['jobs', 'machines'],
    (answer) => {
      const tag = machine?.tag ?? 'The machine';
      say(answer ? `${tag}: kept why it does not start.` : waitsWords(tag));
      void navigate(`/fleet/${machineId}`);
    },
  );
  if (!machine) return null;
  const found = answersAsked(answers);
  const words = wordsOf(verdict);
  return (
    <>
      {keep.error ? <Caution title="Not kept">{<p>{sentenceOf(keep.error)}</p>}</Caution> : null}
      <Button
        sx={{ mt: '10px' }}
        variant="contained"
        color="primary"
        loading={keep.isPending}
        onClick={() =>
          keep.mutate(defectId === null ? { words, severity: 'soon', search: found } : { answers: found })
        }
      >
        {defectId === null
          ? `Report it as a defect of ${machine.tag}`
          : `Keep it with the defect of ${machine.tag}`}
      </Button>
    </>
  );
}

/** Which machine a search is about, where it was opened from one. */
export function SearchedMachine() {
  const [params] = useSearchParams();
  const machineId = params.get('machine');
  const { data: machine } = useQuery({ ...fleetQueries.one(machineId ?? ''), enabled: machineId !== null });
  return machine ? (
    <p className={styles.about}>
      <Plate tag={machine.tag} /> <b>{machine.name}</b> does not start
    </p>
  ) : null;
}

/** The way to keep what a search found, where it is known for which machine it was made. */
export function KeepSearch(props: Props) {
  const [params] = useSearchParams();
  const mayReport = useIsOneOf('crewLead', 'mechanic', 'operator');
  const machineId = params.get('machine');
  if (!mayReport) return null;
  return machineId === null ? (
    <p className="soft">
      To keep it with a machine, open the search from <Link to="/fleet">its page</Link>.
    </p>
  ) : (
    <Keep machineId={machineId} {...props} />
  );
}
