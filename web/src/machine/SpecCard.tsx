import Button from '@mui/material/Button';
import type { MachineDetailDto, UpdateSpecDto } from '@yugator/contracts';
import { fittingsOf } from '@yugator/core';
import { useState } from 'react';
import { useController, useForm } from 'react-hook-form';
import { sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { readResolver } from '../form/readResolver.js';
import { Caution } from '../page/Caution.js';
import { Empty } from '../page/Empty.js';
import { useNotice } from '../page/Notice.js';
import { useIsOneOf, useSession } from '../session/useSession.js';
import { countWords } from '../words/figures.js';
import { AccessPhotos } from './AccessPhotos.js';
import { Attachments } from './Attachments.js';
import { Photo } from './Photo.js';
import { FittingsEdit, fittingsWords } from './Fittings.js';
import { ShareParts } from './ShareParts.js';
import { SpecSectionEdit } from './SpecSectionEdit.js';
import { SpecSectionShow } from './SpecSectionShow.js';
import styles from './specCard.module.css';
import { faultsIn, namedFaults } from './specForm.js';
import type { CardForm, SentCard } from './specForm.js';
import { SPEC_SECTIONS } from './specSections.js';
import { parseCard, typedCard } from './typedCard.js';

function EditCard({ machine, onDone }: { machine: MachineDetailDto; onDone: () => void }) {
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

/** What the machine holds and is set to, in the units of the crew. */
export function SpecCard({ machine }: { machine: MachineDetailDto }) {
  const { site } = useSession();
  const mayChange = useIsOneOf('crewLead', 'mechanic');
  const isLead = useIsOneOf('crewLead');
  const [isEditing, setEditing] = useState(false);
  if (isEditing) return <EditCard machine={machine} onDone={() => setEditing(false)} />;
  const card = typedCard(machine.spec, site.unitSystem);
  const filled = SPEC_SECTIONS.filter(({ key }) => card[key].length > 0);
  return (
    <>
      {filled.length ? (
        <div className={styles.sections}>
          {filled.map((section) => (
            <SpecSectionShow key={section.key} section={section} rows={card[section.key]} />
          ))}
        </div>
      ) : (
        <Empty title="Nothing stands on this card yet." />
      )}
      <p style={{ marginTop: 12 }}>
        {fittingsWords(fittingsOf(machine.spec.service, machine.machineClass, machine.fuel))}
      </p>
      <div className={styles.acts}>
        {mayChange ? (
          <Button variant={filled.length ? 'outlined' : 'contained'} onClick={() => setEditing(true)}>
            {filled.length ? 'Change the card' : 'Fill in the card'}
          </Button>
        ) : null}
        {isLead ? <ShareParts machine={machine} /> : null}
      </div>
      <AccessPhotos machine={machine} mayChange={mayChange} />
      <Attachments machine={machine} mayChange={isLead} />
      <Photo machine={machine} mayChange={mayChange} />
      <p className="soft" style={{ marginTop: 16 }}>
        The maker&rsquo;s manual comes first wherever it says otherwise.
      </p>
    </>
  );
}
