import { useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { sentenceOf } from '../api/problem.js';
import { useWrite } from '../api/useWrite.js';
import { forgetLastSeen } from '../offline/lastSeen.js';
import { useNotice } from '../page/Notice.js';

/** Signs out and leaves nothing on the device that the next person could see. What waits in the outbox stays its owner's, unseen. */
export function useSignOut(): () => void {
  const client = useQueryClient();
  const navigate = useNavigate();
  const say = useNotice();
  const signOut = useWrite<undefined, undefined>(() => ({ method: 'DELETE', path: '/session' }), []);
  return () =>
    signOut.mutate(undefined, {
      onSuccess: () => {
        void navigate('/sign-in', { replace: true });
        client.clear();
        sessionStorage.clear();
        void forgetLastSeen();
      },
      onError: (error) => say(sentenceOf(error)),
    });
}
