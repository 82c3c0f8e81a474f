import type { FieldFaultDto } from '@yugator/contracts';
import { componentSpec, fluidFaultWords, fluidStop, isReason } from '@yugator/core';
import type { Component, FluidTarget, UnitSystem } from '@yugator/core';
import type { Article } from '../models/shelf.model.js';
import type { Person } from '../models/person.model.js';
import { fault } from '../problem/problem.js';
import { storedTraits } from './articleTraits.js';

/** A machine that fluids go into, and how its crew reads temperatures. */
export interface ToldTarget extends FluidTarget {
  readonly units: UnitSystem;
}

/** What stops an article of the shelf from going into any of some components, in words; '' where nothing does. Parts are not judged. */
export function stopWords(article: Article, components: readonly Component[], target: ToldTarget): string {
  if (article.kind !== 'fluid') return '';
  const stop = fluidStop({ id: article.id, fluid: storedTraits(article).fluid }, components, target);
  if (!stop) return '';
  const why = fluidFaultWords(stop.faults, target.units);
  return `${article.name} does not belong in the ${componentSpec(stop.component).words}. ${why}`;
}

/** Where a fluid that stops is said, and where the reason why it is used all the same. */
export interface StopPointers {
  readonly fluid: string;
  readonly reason: string;
}

/** Refuses what stops: the crew lead alone goes on, with a reason. */
export function stopFault(
  words: string,
  reason: string,
  caller: Pick<Person, 'role'>,
  at: StopPointers,
): FieldFaultDto[] {
  if (!words) return [];
  if (caller.role !== 'crewLead')
    return [fault(at.fluid, 'wrongFluid', `${words} Choose another, or ask the crew lead.`)];
  return isReason(reason)
    ? []
    : [fault(at.reason, 'needed', `${words} Choose another, or say in 3 letters or more why it is used.`)];
}
