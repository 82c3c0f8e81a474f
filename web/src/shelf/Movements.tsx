import type { ArticleDto, MovementDto } from '@yugator/contracts';
import { useSession } from '../session/useSession.js';
import { momentWords } from '../words/dates.js';
import { useStockWords } from '../session/useStockWords.js';

function words(movement: MovementDto): string {
  switch (movement.kind) {
    case 'received':
      return 'came in';
    case 'counted':
      return 'corrected by a count';
    case 'left':
      return movement.machineTag ? `left of a kit opened for ${movement.machineTag}` : 'left of a kit';
    case 'drawn':
      return movement.machineTag ? `used on ${movement.machineTag}` : 'used';
  }
}

/** The latest of what came and went. */
export function Movements({ article }: { article: ArticleDto }) {
  const { site, today } = useSession();
  const stock = useStockWords();
  if (article.movements.length === 0) return null;
  return (
    <details>
      <summary className="soft">Latest movements</summary>
      <ul style={{ margin: '6px 0', paddingLeft: 18 }}>
        {article.movements.map((movement, index) => (
          <li key={index} style={movement.voided ? { textDecoration: 'line-through' } : undefined}>
            <span className="fig">
              {movement.quantity > 0 ? '+' : ''}
              {stock(movement.quantity, article.unit)}
            </span>{' '}
            {words(movement)}, {momentWords(movement.at, site.timeZone, today)}
            {movement.by ? `, ${movement.by}` : ''}
            {movement.note ? `: ${movement.note}` : ''}
          </li>
        ))}
      </ul>
    </details>
  );
}
