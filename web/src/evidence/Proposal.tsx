import Button from '@mui/material/Button';
import type { AnswerEvidenceDto, EvidenceDto, MachineDto } from '@yugator/contracts';
import { findingWords } from '@yugator/core';
import { sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { Caution } from '../page/Caution.js';
import { useNotice } from '../page/Notice.js';
import { ruleWords } from '../schedule/triggerWords.js';
import { useSession } from '../session/useSession.js';
import { dayWords } from '../words/dates.js';
import { hoursWords } from '../words/figures.js';
import styles from './evidence.module.css';

/** A proposal to check an item more or less often, with the checks behind it. */
export function Proposal({
  machine,
  proposal,
  mayAnswer,
}: {
  machine: MachineDto;
  proposal: EvidenceDto;
  mayAnswer: boolean;
}) {
  const { site, today } = useSession();
  const say = useNotice();
  const { itemId, itemName, kind, present, triggers, checks } = proposal;
  const answer = useWrite<EvidenceDto[], AnswerEvidenceDto>(
    (body) => ({ method: 'POST', path: `/machines/${machine.id}/evidence/${itemId}`, body }),
    ['machines'],
    () => say(`${itemName}: answered.`),
  );
  const good = checks.filter(({ isGood }) => isGood).length;
  return (
    <li>
      <p>
        <b>{itemName}</b>: {good} of the last {checks.length} checks were good.{' '}
        {kind === 'longer' ? 'Less often' : 'More often'}: {ruleWords(triggers)}{' '}
        <span className="soft">in place of {ruleWords(present)}.</span>
      </p>
      <ul className={styles.checks}>
        {checks.map(({ on, life, isGood, findings }) => (
          <li key={`${on} ${life}`}>
            {isGood ? '✓' : '✗'} {dayWords(on, today)} at {hoursWords(life)} h:{' '}
            <span className="soft">
              {findings.map((finding) => findingWords(finding, site.unitSystem)).join('; ')}
            </span>
          </li>
        ))}
      </ul>
      {answer.error ? <Caution title="Not answered">{<p>{sentenceOf(answer.error)}</p>}</Caution> : null}
      {mayAnswer ? (
        <div className={styles.acts}>
          <Button
            size="small"
            variant="contained"
            color="primary"
            onClick={() => answer.mutate({ answer: 'accepted' })}
          >
            Take it over
          </Button>
          <Button size="small" onClick={() => answer.mutate({ answer: 'refused' })}>
            Leave it as it is
          </Button>
          <Button size="small" variant="text" onClick={() => answer.mutate({ answer: 'later' })}>
            Ask again in a month
          </Button>
        </div>
      ) : null}
    </li>
  );
}
