import { PageHead } from '../page/PageHead.js';
import { ROLE_WORDS } from '../people/roleWords.js';
import { ChangePassword } from './ChangePassword.js';
import { ShedCode } from './ShedCode.js';
import { OpenSessions } from './OpenSessions.js';
import { useSession } from './useSession.js';

/** What everybody may do about their own sign-in. */
export function AccountPage() {
  const { person } = useSession();
  return (
    <>
      <PageHead
        name="Your sign-in"
        title="Your sign-in"
        under={`${person.name}, ${ROLE_WORDS[person.role]}`}
      />
      <OpenSessions />
      <ChangePassword />
      {person.role === 'viewer' ? null : <ShedCode />}
    </>
  );
}
