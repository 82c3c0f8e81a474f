import { rulesWithWays } from '@yugator/core';
import type { HouseRules } from '@yugator/core';
import type { Machine } from '../models/machine.model.js';
import type { Site } from '../models/site.model.js';
import { rulesOf } from '../site/workshop.js';
import { storedCardOrEmpty } from './storedCard.js';

/** The house rules as they are on a machine. */
export function rulesOn({ spec }: Pick<Machine, 'spec'>, site: Site): HouseRules {
  return rulesWithWays(rulesOf(site), storedCardOrEmpty(spec).ways);
}
