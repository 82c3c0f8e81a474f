import { Injectable } from '@nestjs/common';
import type { PrintedLabelDto, ServiceLabelDto } from '@yugator/contracts';
import { Clock } from '../clock/clock.js';

/** A printer of labels in the shed. */
export abstract class LabelPrinter {
  /** Prints labels, in order. */
  abstract print(labels: readonly ServiceLabelDto[]): Promise<void>;
  /** What it printed lately, latest first. */
  abstract printed(): Promise<PrintedLabelDto[]>;
}

const KEPT = 24;

/** Stands in for a printer: it keeps what it would have printed, so that everybody can see it. */
@Injectable()
export class SimulatedLabelPrinter extends LabelPrinter {
  private readonly roll: PrintedLabelDto[] = [];

  constructor(private readonly clock: Clock) {
    super();
  }

  print(labels: readonly ServiceLabelDto[]): Promise<void> {
    const at = new Date(this.clock.now()).toISOString();
    for (const label of labels) this.roll.unshift({ ...label, at });
    this.roll.length = Math.min(this.roll.length, KEPT);
    return Promise.resolve();
  }

  printed(): Promise<PrintedLabelDto[]> {
    return Promise.resolve([...this.roll]);
  }
}
