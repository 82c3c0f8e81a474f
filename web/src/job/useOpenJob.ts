import type { JobDto, OpenJobDto } from '@yugator/contracts';
import { useNavigate } from 'react-router';
import { useWrite } from '../api/useWrite.js';

/** Opens a job of some lines of a machine, and shows it. */
export function useOpenJob() {
  const navigate = useNavigate();
  return useWrite<JobDto, OpenJobDto>(
    (body) => ({ method: 'POST', path: '/jobs', body }),
    ['jobs'],
    ({ id }) => void navigate(`/jobs/${id}`),
  );
}
