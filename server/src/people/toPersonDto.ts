import type { PersonDto } from '@yugator/contracts';
import type { Person } from '../models/person.model.js';

export function toPersonDto(person: Person): PersonDto {
  return {
    id: person.id,
    name: person.name,
    role: person.role,
    active: person.active,
    version: person.version,
  };
}
