import Skeleton from '@mui/material/Skeleton';

/** Shown while a screen's facts are on their way. */
export function Loading({ rows = 6 }: { rows?: number }) {
  return (
    <div role="status" aria-label="Loading">
      {Array.from({ length: rows }, (_, row) => (
        <Skeleton
          key={row}
          variant="rectangular"
          height={52}
          sx={{ mb: '6px', bgcolor: 'var(--line)', opacity: 0.6 }}
        />
      ))}
    </div>
  );
}
