import Button from '@mui/material/Button';
import type { MachineDetailDto, UpdateSpecDto } from '@yugator/contracts';
import { fittingsOf } from '@yugator/core';
import { useController, useForm } from 'react-hook-form';
import { sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { readResolver } from '../form/readResolver.js';
import { Caution } from '../page/Caution.js';
import { useNotice } from '../page/Notice.js';
import { useIsOneOf, useSession } from '../session/useSession.js';
import { countWords } from '../words/figures.js';
import { FittingsEdit } from './Fittings.js';
import { SpecSectionEdit } from './SpecSectionEdit.js';
import styles from './specCard.module.css';
import { faultsIn, namedFaults } from './specForm.js';
import type { CardForm, SentCard } from './specForm.js';
import { SPEC_SECTIONS } from './specSections.js';
import { parseCard, typedCard } from './typedCard.js';

/** The spec card as it is typed. */
export function EditCard({ machine, onDone }: { machine: MachineDetailDto; onDone: () => void }) {
  const { site } = useSession();
  const say = useNotice();
  // The house rules are the crew lead's, those of one machine too.
  const isLead = useIsOneOf('crewLead');
  const form = useForm<CardForm, unknown, SentCard>({
    defaultValues: {
      card: typedCard(machine.spec, site.unitSystem),
      service: fittingsOf(machine.spec.service, machine.machineClass, machine.fuel),
    },
    resolver: readResolver<CardForm, SentCard>(({ card, service }) => {
      const parsed = parseCard(card, site.unitSystem, machine.spec);
      return 'spec' in parsed
        ? { value: { spec: { ...parsed.spec, service } } }
        : { faults: namedFaults(parsed.faults) };
    }),
  });
  const { field: service } = useController({ control: form.control, name: 'service' });
  const update = useWrite<MachineDetailDto, UpdateSpecDto>(
    (body) => ({ method: 'PUT', path: `/machines/${machine.id}/spec`, body }),
    ['machines'],
    () => {
      say(`${machine.tag}: spec card saved.`);
      onDone();
    },
  );
  const wrong = faultsIn(form.formState.errors.card);
  return (
    <form
      noValidate
      onSubmit={(event) =>
        void form.handleSubmit(({ spec }) => {
          if (!update.isPending) update.mutate({ spec, version: machine.version });
        })(event)
      }
    >
      <p className="soft" style={{ marginBottom: 10 }}>
        Type figures as the book has them, in any unit: 2.1 qt, 67 oz, 15 lbf·ft, 30 psi, 7-9 mm.
      </p>
      <FittingsEdit fittings={service.value} fuel={machine.fuel} onChange={service.onChange} />
      <div className={styles.typed}>
        {SPEC_SECTIONS.filter(({ key }) => isLead || key !== 'ways').map((section) => (
          <SpecSectionEdit
            key={section.key}
            machineClass={machine.machineClass}
            section={section}
            form={form}
          />
        ))}
      </div>
      {wrong || update.error ? (
        <Caution title="Not saved">
          <p>
            {wrong
              ? `${countWords(wrong, 'figure')} cannot be read; they are marked.`
              : sentenceOf(update.error)}
          </p>
        </Caution>
      ) : null}
      <div className={styles.acts}>
        <Button type="submit" variant="contained" color="primary" loading={update.isPending}>
          Save the card
        </Button>
        <Button onClick={onDone}>Leave it</Button>
      </div>
    </form>
  );
}
