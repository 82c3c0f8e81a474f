import type { FieldFaultDto } from '@yugator/contracts';
import {
  componentSpec,
  fluidFaultWords,
  fluidPlace,
  isStop,
  judgeFluid,
  shownTemperature,
} from '@yugator/core';
import type { Component, FluidMachine, FluidPlace, UnitSystem } from '@yugator/core';
import type { Article } from '../models/shelf.model.js';
import type { Person } from '../models/person.model.js';
import { fault } from '../problem/problem.js';
import { storedTraits } from './articleTraits.js';
import { fluidFits } from './fits.js';
import type { ShelvedFit } from './fits.js';

/** A machine that fluids go into. */
export interface FluidTarget extends FluidMachine {
  readonly fits: readonly ShelvedFit[];
  /** °C until the next change */
  readonly expected: FluidPlace['expected'];
  readonly units: UnitSystem;
}

/** What stops an article of the shelf from going into any of some components, in words; '' where nothing does. Parts are not judged. */
export function stopWords(article: Article, components: readonly Component[], target: FluidTarget): string {
  if (article.kind !== 'fluid' || components.length === 0) return '';
  const { fluid } = storedTraits(article);
  const known = fluidFits(target.fits);
  const stops = components.map((component) => {
    // What somebody said fits, with a reason where it needed one, is not stopped again.
    const isKnown = target.fits.some((fit) => fit.articleId === article.id && fit.component === component);
    const judged = judgeFluid(fluid, fluidPlace(target, component, known, target.expected));
    return { component, faults: isKnown ? [] : judged.faults.filter(isStop) };
  });
  const [first] = stops;
  if (!first || stops.some(({ faults }) => faults.length === 0)) return '';
  const degrees = (celsius: number) => shownTemperature(celsius, target.units);
  const why = first.faults.map((each) => fluidFaultWords(each, degrees)).join(' ');
  return `${article.name} does not belong in the ${componentSpec(first.component).words}. ${why}`;
}

/** Where a fluid that stops is said, and where the reason why it is used all the same. */
export interface StopPointers {
  readonly fluid: string;
  readonly reason: string;
}

/** Refuses what stops: the crew lead alone goes on, with a reason. */
export function stopFault(words: string, reason: string, caller: Person, at: StopPointers): FieldFaultDto[] {
  if (!words) return [];
  if (caller.role !== 'crewLead')
    return [fault(at.fluid, 'wrongFluid', `${words} Choose another, or ask the crew lead.`)];
  return reason.trim().length >= 3
    ? []
    : [fault(at.reason, 'needed', `${words} Choose another, or say in 3 letters or more why it is used.`)];
}
