import { MINUTE_MS } from '@bunkhouse/core';
import { randomUUID } from 'node:crypto';
import { ForbiddenException, HttpException, Injectable, NotFoundException, UnauthorizedException } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { serverSays, USUAL_SETTINGS, type OpenSession, type Role, type SignInRequest, type TabletResponse } from '@bunkhouse/api';
import type { Request } from 'express';
import type { DataSource } from 'typeorm';
import { Clock } from '../clock.js';
import { cookieOf, deviceOf, isHere, SESSION_COOKIE, TABLET_COOKIE } from './asked.js';
import { DEMO_COOK } from './demoCrew.js';
import { PersonEntity } from './personEntity.js';
import { isSecret, newToken, tokenHash } from './secrets.js';
import { SessionEntity } from './sessionEntity.js';
import { TabletEntity } from './tabletEntity.js';

/** Somebody at a device. */
export interface Who {
  personId: string;
  name: string;
  role: Role;
  /** null where the made-up house's cook stands at this machine without having signed in */
  sessionId: string | null;
  by: 'pin' | 'password' | 'demo';
  locked: boolean;
  /** a PIN on a tablet is not enough for the house's people, settings and backups */
  onlyPin: boolean;
}

/** Nobody did anything at a shared tablet for so long, or at somebody's own device: signed out. */
const ENDS_MS = { pin: 16 * 60 * MINUTE_MS, password: 30 * 24 * 60 * MINUTE_MS } as const;
/** Somebody's own device asks for the password again after so long. */
const OWN_LOCK_MS = 12 * 60 * MINUTE_MS;
/** Doing something is noted at most so often. */
const NOTED_MS = 20_000;

/** Wrong tries that cost no wait; then it doubles, from 15 s to a quarter of an hour. */
const FREE_TRIES = 4;
const FIRST_WAIT_S = 15;
const LONGEST_WAIT_S = 900;
/** After so many wrong ones a PIN is closed until a new one is given. */
export const PIN_CLOSES_AT = 20;

/** Who is signed in where. */
@Injectable()
export class SessionsService {
  constructor(
    @InjectDataSource() private readonly dataSource: DataSource,
    private readonly clock: Clock,
  ) {}

  /** Who sends a request, or null. A device without any cookie at the machine itself is the made-up house's cook. */
  async whoIs(request: Request): Promise<Who | null> {
    const token = cookieOf(request, SESSION_COOKIE);
    if (token === null) return isHere(request) ? this.demoCook() : null;
    const now = this.clock.now();
    const [row]: SessionRow[] = await this.dataSource.query(
      `SELECT session.id, session.by, session.seen_at, person.id AS person_id, person.name, person.role, house.settings->>'lockMin' AS lock_min, house.demo
       FROM session JOIN person ON person.id = session.person_id LEFT JOIN house ON house.id = 1
       WHERE session.token_hash = $1 AND NOT person.put_away AND (person.ends_at IS NULL OR person.ends_at > $2)`,
      [tokenHash(token), new Date(now)],
    );
    if (row === undefined) return null;
    const idleMs = now - row.seen_at.getTime();
    if (idleMs > ENDS_MS[row.by]) return null;
    const lockMs = row.by === 'pin' ? Number(row.lock_min ?? USUAL_SETTINGS.lockMin) * MINUTE_MS : OWN_LOCK_MS;
    const who: Who = {
      personId: row.person_id,
      name: row.name,
      role: row.role,
      sessionId: row.id,
      by: row.by,
      locked: idleMs > lockMs,
      onlyPin: row.by === 'pin' && row.demo !== true,
    };
    if (!who.locked && idleMs > NOTED_MS && request.method !== 'GET')
      await this.dataSource.getRepository(SessionEntity).update({ id: row.id }, { seenAt: new Date(now) });
    return who;
  }

  /** Signs somebody in and answers the token for the device's cookie. */
  async signIn({ name, pin, password }: SignInRequest, request: Request): Promise<string> {
    const tablet = await this.tabletOf(request);
    const inDemo = await this.isDemoHere(request);
    if (password === undefined && tablet === null && !inDemo) throw new ForbiddenException(serverSays('no-tablet-here'));
    const people = this.dataSource.getRepository(PersonEntity);
    const person = await people.createQueryBuilder('person').where('lower(person.name) = lower(:name)', { name: name.trim() }).getOne();
    const isOpen = person !== null && !person.putAway && (person.endsAt === null || person.endsAt.getTime() > this.clock.now());
    if (person !== null) await this.countTry(person.id, password === undefined);
    const kept = !isOpen ? null : password === undefined ? person.pinHash : person.passwordHash;
    if (!(await isSecret(password ?? pin ?? '', kept)) || person === null)
      throw new UnauthorizedException(password === undefined ? serverSays('wrong-pin') : serverSays('wrong-password'));
    await people.update({ id: person.id }, { tries: 0, waitUntil: null });
    return this.open(person.id, password === undefined ? 'pin' : 'password', tablet?.id ?? null, request);
  }

  /** A new session; the one that the device had ends. */
  async open(personId: string, by: 'pin' | 'password', tabletId: string | null, request: Request): Promise<string> {
    await this.close(request);
    const token = newToken();
    const now = new Date(this.clock.now());
    // What has ended by itself is swept out by whoever comes next.
    await this.dataSource.query(`DELETE FROM session WHERE seen_at < $1`, [new Date(now.getTime() - 2 * ENDS_MS.password)]);
    const device = deviceOf(request.headers['user-agent']);
    await this.dataSource
      .getRepository(SessionEntity)
      .insert({ id: randomUUID(), personId, tokenHash: tokenHash(token), by, tabletId, device, startedAt: now, seenAt: now });
    return token;
  }

  /** Ends the session of a device. */
  async close(request: Request): Promise<void> {
    const token = cookieOf(request, SESSION_COOKIE);
    if (token !== null) await this.dataSource.getRepository(SessionEntity).delete({ tokenHash: tokenHash(token) });
  }

  /** Counts a try before it is looked at: a thousand at once are not a thousand guesses. */
  private async countTry(personId: string, byPin: boolean): Promise<void> {
    const now = this.clock.now();
    const [rows]: [{ tries: number }[], number] = await this.dataSource.query(
      `UPDATE person SET tries = tries + 1,
         wait_until = CASE WHEN tries + 1 > $3 THEN $2::timestamptz + LEAST($5, $4 * power(2, LEAST(tries - $3, 12))) * interval '1 second' END
       WHERE id = $1 AND (wait_until IS NULL OR wait_until <= $2) RETURNING tries`,
      [personId, new Date(now), FREE_TRIES, FIRST_WAIT_S, LONGEST_WAIT_S],
    );
    const [counted] = rows;
    if (counted === undefined) {
      const person = await this.dataSource.getRepository(PersonEntity).findOneBy({ id: personId });
      const waitS = Math.max(1, Math.ceil(((person?.waitUntil?.getTime() ?? now) - now) / 1000));
      throw new HttpException(waitS > 90 ? serverSays('wait-minutes', { n: Math.ceil(waitS / 60) }) : serverSays('wait-seconds', { n: waitS }), 429);
    }
    if (byPin && counted.tries > PIN_CLOSES_AT) throw new ForbiddenException(serverSays('pin-closed'));
  }

  async sessions(who: Who): Promise<OpenSession[]> {
    const rows: OpenRow[] = await this.dataSource.query(
      `SELECT session.id, person.name, session.by, tablet.name AS tablet, session.device, session.started_at, session.seen_at
       FROM session JOIN person ON person.id = session.person_id LEFT JOIN tablet ON tablet.id = session.tablet_id
       WHERE ($1 OR session.person_id = $2) AND session.seen_at > $3 ORDER BY session.seen_at DESC LIMIT 200`,
      [who.role === 'head', who.personId, new Date(this.clock.now() - ENDS_MS.password)],
    );
    return rows
      .filter(({ by, seen_at }) => this.clock.now() - seen_at.getTime() <= ENDS_MS[by])
      .map(({ started_at, seen_at, ...row }) => ({
        ...row,
        startedAt: started_at.toISOString(),
        seenAt: seen_at.toISOString(),
        here: row.id === who.sessionId,
      }));
  }

  /** Ends a session: one's own, or as head cook anybody's. */
  async end(id: string, who: Who): Promise<OpenSession[]> {
    const sessions = this.dataSource.getRepository(SessionEntity);
    const session = await sessions.findOneBy({ id });
    if (session === null || (who.role !== 'head' && session.personId !== who.personId)) throw new NotFoundException(serverSays('no-such-session'));
    await sessions.delete({ id });
    return this.sessions(who);
  }

  /** Every session of a person ends, but the one named. */
  async endAllOf(personId: string, but: string | null = null): Promise<void> {
    await this.dataSource.query(`DELETE FROM session WHERE person_id = $1 AND ($2::uuid IS NULL OR id <> $2)`, [personId, but]);
  }

  /** Notes that somebody did something here. */
  async touch({ sessionId }: Who): Promise<void> {
    if (sessionId !== null) await this.dataSource.getRepository(SessionEntity).update({ id: sessionId }, { seenAt: new Date(this.clock.now()) });
  }

  // --- tablets

  async tabletOf(request: Request): Promise<TabletEntity | null> {
    const token = cookieOf(request, TABLET_COOKIE);
    return token === null ? null : this.dataSource.getRepository(TabletEntity).findOneBy({ tokenHash: tokenHash(token) });
  }

  /** Puts this device up for the crew; answers the token for its cookie. */
  async putUp(name: string, by: string): Promise<string> {
    const tablets = this.dataSource.getRepository(TabletEntity);
    const token = newToken();
    const now = new Date(this.clock.now());
    await tablets.insert({ id: randomUUID(), name: name.trim(), tokenHash: tokenHash(token), madeBy: by, madeAt: now, seenAt: now });
    return token;
  }

  async tablets(): Promise<TabletResponse[]> {
    const rows: { id: string; name: string; made_by: string; made_at: Date; seen_at: Date | null }[] = await this.dataSource.query(
      `SELECT tablet.*, GREATEST(tablet.seen_at, (SELECT max(session.seen_at) FROM session WHERE session.tablet_id = tablet.id)) AS seen_at FROM tablet ORDER BY made_at`,
    );
    return rows.map(({ id, name, made_by, made_at, seen_at }) => ({
      id,
      name,
      madeBy: made_by,
      madeAt: made_at.toISOString(),
      seenAt: seen_at?.toISOString() ?? null,
    }));
  }

  /** A tablet that was lost: its sessions end, and nobody signs in on it by PIN. */
  async takeDown(id: string): Promise<TabletResponse[]> {
    const { affected } = await this.dataSource.getRepository(TabletEntity).delete({ id });
    if (affected === 0) throw new NotFoundException(serverSays('no-such-tablet'));
    return this.tablets();
  }

  // --- the made-up house

  /** Whether this is the made-up house, asked at the machine itself. */
  async isDemoHere(request: Request): Promise<boolean> {
    if (!isHere(request)) return false;
    const [house]: { demo: boolean }[] = await this.dataSource.query(`SELECT demo FROM house WHERE id = 1`);
    return house?.demo === true;
  }

  private async demoCook(): Promise<Who | null> {
    const [row]: { id: string; name: string; role: Role }[] = await this.dataSource.query(
      `SELECT person.id, person.name, person.role FROM person JOIN house ON house.id = 1 AND house.demo WHERE person.name = $1 AND NOT person.put_away`,
      [DEMO_COOK],
    );
    return row === undefined ? null : { personId: row.id, name: row.name, role: row.role, sessionId: null, by: 'demo', locked: false, onlyPin: false };
  }
}

interface SessionRow {
  id: string;
  by: 'pin' | 'password';
  seen_at: Date;
  person_id: string;
  name: string;
  role: Role;
  lock_min: string | null;
  demo: boolean | null;
}

interface OpenRow {
  id: string;
  name: string;
  by: 'pin' | 'password';
  tablet: string | null;
  device: string;
  started_at: Date;
  seen_at: Date;
}
