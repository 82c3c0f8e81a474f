import Button from '@mui/material/Button';
import type { AddDefectPhotoDto, DefectDto } from '@yugator/contracts';
import { useState } from 'react';
import { Link } from 'react-router';
import { sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { SEVERITY_WORDS } from '../job/outcomeWords.js';
import { Plate } from '../page/Plate.js';
import { VoidDialog } from '../page/VoidDialog.js';
import { PhotoButton } from '../photo/PhotoButton.js';
import { useIsOneOf, useSession } from '../session/useSession.js';
import { dayWords } from '../words/dates.js';
import styles from './defect.module.css';
import { EstimateDialog } from './EstimateDialog.js';

/** How a defect ended, by whom, and in which job. */
function End({ defect }: { defect: DefectDto }) {
  const { today } = useSession();
  const { ended, closedByJobId } = defect;
  if (!ended) return null;
  const by = ended.by ? ` by ${ended.by}` : '';
  return (
    <p>
      {ended.how === 'mended' ? (
        <Link to={`/jobs/${closedByJobId}`}>Mended {dayWords(ended.on, today)}</Link>
      ) : (
        <>Taken back {dayWords(ended.on, today)}</>
      )}
      {by}
      {ended.words ? `: ${ended.words}` : ''}
    </p>
  );
}

function Photos({ defect }: { defect: DefectDto }) {
  return defect.photos.map((path, at) => (
    <a key={path} href={`/api${path}`} target="_blank" rel="noreferrer">
      <img src={`/api${path}`} alt={`${defect.words}, photo ${at + 1}, opens in a new tab`} loading="lazy" />
    </a>
  ));
}

/** What can be done about an open defect. */
function Acts({ defect }: { defect: DefectDto }) {
  const { id, machine, words, openJobId, photos } = defect;
  const mayWork = useIsOneOf('crewLead', 'mechanic');
  const isLead = useIsOneOf('crewLead');
  const mayReport = useIsOneOf('crewLead', 'mechanic', 'operator');
  const [fault, setFault] = useState<string | null>(null);
  const add = useWrite<DefectDto, AddDefectPhotoDto>(
    (body) => ({ method: 'POST', path: `/defects/${id}/photos`, body }),
    ['jobs'],
  );
  return (
    <div className={styles.acts}>
      {mayWork ? (
        <Button
          component={Link}
          size="small"
          to={openJobId ? `/jobs/${openJobId}` : `/fleet/${machine.id}/visit`}
          aria-label={`${openJobId ? 'Go on with job' : 'Open job'}: ${machine.tag}, ${words}`}
        >
          {openJobId ? 'Go on with job' : 'Open job'}
        </Button>
      ) : null}
      {mayWork ? <EstimateDialog defect={defect} /> : null}
      {mayReport ? (
        <PhotoButton
          word={photos.length ? 'Another photo' : 'Add a photo'}
          label={`Photo of ${machine.tag}: ${words}`}
          loading={add.isPending}
          onJpeg={(jpeg) => add.mutate({ jpeg }, { onError: (error) => setFault(sentenceOf(error)) })}
          onFault={setFault}
        />
      ) : null}
      {isLead ? (
        <VoidDialog
          what={`the defect "${words}" of ${machine.tag}`}
          consequence="It was none, or is known twice. A machine that it took out of service stays there until somebody puts it back."
          path={`/defects/${id}/void`}
          subjects={['jobs', 'machines']}
        />
      ) : null}
      {fault ? <span role="alert">{fault}</span> : null}
    </div>
  );
}

/** A defect with its story. */
export function DefectCard({ defect }: { defect: DefectDto }) {
  const { today } = useSession();
  const { machine, words, severity, foundOn, reportedBy, itemName, ended, plannedOn } = defect;
  return (
    <li className={styles.card} data-severity={ended ? 'ended' : severity}>
      <Plate tag={machine.tag} to={machine.id} />
      <div>
        <p>
          <b>{words}</b>
          {itemName ? <span className="soft">, at {itemName}</span> : null}
        </p>
        <p className={styles.by}>
          {ended ? null : <b className={styles.severity}>{SEVERITY_WORDS[severity]}</b>} {machine.name};{' '}
          {reportedBy}, {dayWords(foundOn, today)}
          {plannedOn ? (
            <b className={styles.severity}>, in the workshop {dayWords(plannedOn, today)}</b>
          ) : null}
        </p>
        <End defect={defect} />
        <div className={styles.photos}>
          <Photos defect={defect} />
        </div>
        {ended ? null : <Acts defect={defect} />}
      </div>
    </li>
  );
}
