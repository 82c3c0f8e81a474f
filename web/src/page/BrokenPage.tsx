import Button from '@mui/material/Button';
import { Caution } from './Caution.js';

/** Shown where a screen broke, or its file could not be fetched. */
export function BrokenPage() {
  return (
    <main style={{ padding: 24 }}>
      <Caution title="This screen could not be shown">
        <p>
          The connection may be gone, or Yugator was renewed meanwhile. Reload the page; nothing that was
          saved is lost.
        </p>
        <Button onClick={() => window.location.reload()} sx={{ mt: 1 }}>
          Reload
        </Button>
      </Caution>
    </main>
  );
}
