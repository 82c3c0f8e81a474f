import { Link } from 'react-router';
import { Empty } from './Empty.js';
import { PageHead } from './PageHead.js';

export function NoSuchPage() {
  return (
    <>
      <PageHead name="Not found" title="There is no such page" />
      <Empty title="The address may be mistyped, or the thing is gone.">
        <Link to="/">Go to Today</Link>
      </Empty>
    </>
  );
}
