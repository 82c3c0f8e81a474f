import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import { useQuery } from '@tanstack/react-query';
import type { DueLineDto, ProposalDto, VisitDto } from '@yugator/contracts';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { sentenceOf } from '../api/problem.js';
import { Caution } from '../page/Caution.js';
import { Empty } from '../page/Empty.js';
import { Failed } from '../page/Failed.js';
import { Loading } from '../page/Loading.js';
import { PageHead } from '../page/PageHead.js';
import { Plate } from '../page/Plate.js';
import { standingWords } from '../schedule/dueWords.js';
import { StateMark } from '../schedule/StateShape.js';
import { useIsOneOf, useSession } from '../session/useSession.js';
import { countWords } from '../words/figures.js';
import { FetchList, TimeWords } from './FetchList.js';
import { jobQueries } from './jobQueries.js';
import { OpenDefects } from './OpenDefects.js';
import styles from './sheet.module.css';
import { useOpenJob } from './useOpenJob.js';
import { useSheet } from './useSheet.js';

/** Why an item is worth doing in this visit. */
function proposalWords({ reason }: ProposalDto): string {
  switch (reason.kind) {
    case 'due':
      return 'due';
    case 'ripe':
      return 'ripe';
    case 'yearly':
      return reason.when === 'autumn'
        ? 'yearly, and done before the lay-up here'
        : 'yearly, and done before the season here';
    case 'openAlready': {
      const open = reason.access.join(' and ');
      const thrown = Math.round(reason.thrownAway * 100);
      return `worth doing now: ${open} anyway, saves ${reason.savedMinutes} min and throws ${thrown} % of its interval away`;
    }
  }
}

interface ChoiceProps {
  readonly line: DueLineDto;
  readonly proposal: ProposalDto | undefined;
  readonly isChosen: boolean;
  readonly onChoose: (isChosen: boolean) => void;
}

function Choice({ line, proposal, isChosen, onChoose }: ChoiceProps) {
  const { today } = useSession();
  const why = [
    standingWords(line, today),
    proposal && proposal.reason.kind !== 'due' && proposal.reason.kind !== 'ripe'
      ? proposalWords(proposal)
      : '',
  ].filter(Boolean);
  return (
    <li>
      <label>
        <Checkbox
          checked={isChosen}
          onChange={(_event, checked) => onChoose(checked)}
          sx={{ width: 48, height: 48 }}
        />
        <span>
          <b>{line.itemName}</b>
          <br />
          <span className="soft">{why.join('; ')}</span>
        </span>
        <StateMark state={line.state} />
      </label>
    </li>
  );
}

function Total({ visit, chosen }: { visit: VisitDto; chosen: ReadonlySet<string> }) {
  const items = visit.setUp.items.filter(({ id }) => chosen.has(id));
  const sheet = useSheet({ setUp: { ...visit.setUp, items } });
  const open = useOpenJob();
  const isForDefects = visit.defects.length > 0;
  const begin = () => open.mutate({ machineId: visit.machine.id, itemIds: items.map(({ id }) => id) });
  return (
    <section className={styles.total} aria-label="The visit">
      <h2>{countWords(items.length, 'item')} in this visit</h2>
      {items.length ? (
        <>
          <TimeWords sheet={sheet} />
          <p className="soft">{countWords(sheet.steps.length, 'step')}, shared ones done once.</p>
          <FetchList
            sheet={sheet}
            setUp={visit.setUp}
            vessels={visit.vessels}
            needed={{ ...visit, needs: visit.needs.filter(({ itemId }) => chosen.has(itemId)) }}
          />
        </>
      ) : (
        <p className="soft">
          {isForDefects
            ? 'Choose what is done besides, or open the job for the open defects alone.'
            : 'Choose what is to be done.'}
        </p>
      )}
      {open.error ? <Caution title="No job opened">{<p>{sentenceOf(open.error)}</p>}</Caution> : null}
      <Button
        variant="contained"
        color="primary"
        size="large"
        disabled={items.length === 0 && !isForDefects}
        loading={open.isPending}
        onClick={begin}
      >
        Open the job
      </Button>
    </section>
  );
}

function Compose({ visit }: { visit: VisitDto }) {
  const [chosen, setChosen] = useState<ReadonlySet<string>>(
    () => new Set(visit.proposals.map(({ itemId }) => itemId)),
  );
  const choose = (itemId: string, isChosen: boolean) => {
    const next = new Set(chosen);
    if (isChosen) next.add(itemId);
    else next.delete(itemId);
    setChosen(next);
  };
  const proposals = new Map(visit.proposals.map((proposal) => [proposal.itemId, proposal]));
  const isProposed = ({ itemId }: DueLineDto) => proposals.has(itemId);
  const groups = [
    { title: 'Worth doing in this visit', lines: visit.lines.filter(isProposed) },
    { title: 'Not yet', lines: visit.lines.filter((line) => !isProposed(line)) },
  ];
  return (
    <div className={styles.compose}>
      <div>
        {proposals.size === 0 && visit.lines.length ? (
          <p style={{ marginBottom: 14 }}>
            <b>Nothing asks to be done now.</b> Choose below what you want to do all the same.
          </p>
        ) : null}
        <OpenDefects defects={visit.defects} />
        {groups.map(({ title, lines }) =>
          lines.length ? (
            <section key={title} aria-label={title} style={{ marginBottom: 20 }}>
              <h2 style={{ marginBottom: 8 }}>{title}</h2>
              <ul className={styles.choices}>
                {lines.map((line) => (
                  <Choice
                    key={line.itemId}
                    line={line}
                    proposal={proposals.get(line.itemId)}
                    isChosen={chosen.has(line.itemId)}
                    onChoose={(isChosen) => choose(line.itemId, isChosen)}
                  />
                ))}
              </ul>
            </section>
          ) : null,
        )}
      </div>
      <Total visit={visit} chosen={chosen} />
    </div>
  );
}

/** A visit composed: what is worth doing together, how long it takes and what is fetched first. */
export function ComposePage() {
  const { machineId = '' } = useParams();
  const mayWork = useIsOneOf('crewLead', 'mechanic');
  const { data: visit, error, refetch } = useQuery(jobQueries.visit(machineId));
  if (!visit) return error ? <Failed error={error} again={refetch} /> : <Loading />;
  const { machine, openJobId } = visit;
  return (
    <>
      <PageHead
        name={`A visit of ${machine.tag}`}
        title={
          <>
            <Plate tag={machine.tag} to={machine.id} /> {machine.name}: a visit
          </>
        }
        under="What is due and what is handy to do along with it is chosen; add and drop as you like."
      />
      {openJobId ? (
        <Empty title="A job is open on this machine.">
          <Link to={`/jobs/${openJobId}`}>Go on with it</Link>
        </Empty>
      ) : !mayWork ? (
        <Empty title="Your role looks at jobs but does not open them." />
      ) : visit.lines.length || visit.defects.length ? (
        <Compose visit={visit} />
      ) : (
        <Empty title="This machine follows no service book yet.">
          <Link to={`/fleet/${machine.id}/details`}>Choose its books under Details</Link>
        </Empty>
      )}
    </>
  );
}
