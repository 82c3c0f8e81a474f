import Button from '@mui/material/Button';
import type { MachineDetailDto } from '@yugator/contracts';
import { fittingsOf } from '@yugator/core';
import { lazy, Suspense, useState } from 'react';
import { Empty } from '../page/Empty.js';
import { Loading } from '../page/Loading.js';
import { useIsOneOf, useSession } from '../session/useSession.js';
import { AccessPhotos } from './AccessPhotos.js';
import { Attachments } from './Attachments.js';
import { Photo } from './Photo.js';
import { fittingsWords } from './Fittings.js';
import { ShareParts } from './ShareParts.js';
import { SpecSectionShow } from './SpecSectionShow.js';
import styles from './specCard.module.css';
import { SPEC_SECTIONS } from './specSections.js';
import { typedCard } from './typedCard.js';

const EditCard = lazy(async () => ({ default: (await import('./EditCard.js')).EditCard }));

/** What the machine holds and is set to, in the units of the crew. */
export function SpecCard({ machine }: { machine: MachineDetailDto }) {
  const { site } = useSession();
  const mayChange = useIsOneOf('crewLead', 'mechanic');
  const isLead = useIsOneOf('crewLead');
  const [isEditing, setEditing] = useState(false);
  if (isEditing)
    return (
      <Suspense fallback={<Loading />}>
        <EditCard machine={machine} onDone={() => setEditing(false)} />
      </Suspense>
    );
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
