import { createHmac, randomBytes, timingSafeEqual } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { isId } from '@yugator/contracts';
import { Secret } from '../models/secret.model.js';

const KEY = 'deviceCookie';
/** People who share a device; of more, the one who signed in longest ago is forgotten. */
const MOST_PEOPLE = 8;

/**
 * Who signed in on a device before, kept by the device itself in a cookie that only this server can sign:
 * `id.id.id~signature`, the latest last.
 */
@Injectable()
export class KnownDevices {
  private key: string | null = null;

  /** Ids of the people who signed in there; none where the cookie is missing or not signed by this server. */
  async people(cookie: string | undefined): Promise<string[]> {
    const [people = '', signature = ''] = (cookie ?? '').split('~');
    const ids = people.split('.').filter(isId);
    const right = Buffer.from(await this.sign(ids.join('.')));
    const given = Buffer.from(signature);
    return given.length === right.length && timingSafeEqual(given, right) ? ids : [];
  }

  /** The cookie of a device on which `personId` signed in just now. */
  async with(cookie: string | undefined, personId: string): Promise<string> {
    const others = (await this.people(cookie)).filter((id) => id !== personId);
    const ids = [...others, personId].slice(-MOST_PEOPLE).join('.');
    return `${ids}~${await this.sign(ids)}`;
  }

  private async sign(text: string): Promise<string> {
    this.key ??= await this.readKey();
    return createHmac('sha256', this.key).update(text).digest('base64url');
  }

  /** Made once for a database, so that it holds over restarts and for every server in front of it. */
  private async readKey(): Promise<string> {
    await Secret.findOrCreate({
      where: { name: KEY },
      defaults: { name: KEY, value: randomBytes(32).toString('hex') },
    });
    return (await Secret.findByPk(KEY))?.value ?? '';
  }
}
