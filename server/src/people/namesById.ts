import { Person } from '../models/person.model.js';

/** Everybody's name, those who left included. */
export async function namesById(): Promise<ReadonlyMap<string, string>> {
  const people = await Person.findAll({ attributes: ['id', 'name'], raw: true });
  return new Map(people.map((person) => [person.id, person.name]));
}
