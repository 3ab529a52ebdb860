import { attempt, DAY_MS, requireHousePlan, usualHousePlan } from '@bunkhouse/core';
import { randomUUID } from 'node:crypto';
import { ConflictException, ForbiddenException, Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import {
  serverSays,
  type FirstRequest,
  type OwnSecretRequest,
  type PersonRequest,
  type PersonResponse,
  type SessionResponse,
  USUAL_SETTINGS,
} from '@bunkhouse/api';
import type { Request } from 'express';
import { Not, type DataSource, type EntityManager } from 'typeorm';
import { Clock } from '../clock.js';
import { refused } from '../errors/refusals.js';
import { HouseEntity } from '../house/houseEntity.js';
import { HousePlanEntity } from '../house/housePlanEntity.js';
import { isHere } from './asked.js';
import { DEMO_CREW } from './demoCrew.js';
import { PersonEntity } from './personEntity.js';
import { hashSecret, isSecret, weakPin } from './secrets.js';
import { PIN_CLOSES_AT, SessionsService, type Who } from './sessionsService.js';

const MOST_PEOPLE = 200;

/** The people of the house. */
@Injectable()
export class CrewService {
  constructor(
    @InjectDataSource() private readonly dataSource: DataSource,
    private readonly sessions: SessionsService,
    private readonly clock: Clock,
  ) {}

  /** Who stands at this device, and who may sign in on it. */
  async session(request: Request, who: Who | null): Promise<SessionResponse> {
    const house = await this.dataSource.getRepository(HouseEntity).findOneBy({ id: 1 });
    const people = this.dataSource.getRepository(PersonEntity);
    const tablet = await this.sessions.tabletOf(request);
    const inDemo = house?.demo === true && isHere(request);
    const isFirst = !(await people.exists());
    const listed = tablet !== null || inDemo ? await people.find({ where: { putAway: false }, order: { createdAt: 'ASC' } }) : [];
    return {
      house: house?.name ?? 'Your cook-house',
      demo: house?.demo ?? false,
      first: isFirst ? (isHere(request) ? 'here' : 'elsewhere') : null,
      person: who === null ? null : { id: who.personId, name: who.name, role: who.role },
      locked: who?.locked ?? false,
      tablet: tablet?.name ?? null,
      people: listed
        .filter(({ pinHash, endsAt }) => pinHash !== null && (endsAt === null || endsAt.getTime() > this.clock.now()))
        .map(({ name }) => {
          const pin = inDemo ? DEMO_CREW.find((own) => own.name === name)?.pin : undefined;
          return pin === undefined ? { name } : { name, pin };
        }),
      lockMin: who?.by === 'pin' ? (house?.settings.lockMin ?? USUAL_SETTINGS.lockMin) : null,
    };
  }

  /** The first start: the head cook, who is signed in at once, and what the house goes by. Answers the token of the session. */
  async first({ house, name, password, pin, settings, timeZone }: FirstRequest, request: Request): Promise<string> {
    if (!isHere(request)) throw new ForbiddenException(serverSays('first-at-machine'));
    const plan = timeZone === undefined ? null : attempt(() => requireHousePlan(usualHousePlan(timeZone)));
    if (plan !== null && 'fault' in plan) throw refused([{ ...plan.fault, field: 'timeZone' }]);
    const person = await this.person({ name, role: 'head', pin, password, by: name.trim() });
    await this.dataSource.transaction(async (manager) => {
      await manager.query(`LOCK TABLE person IN EXCLUSIVE MODE`);
      if (await manager.getRepository(PersonEntity).exists()) throw new ConflictException(serverSays('has-head-cook'));
      await manager.getRepository(PersonEntity).insert(person);
      await manager.query(
        `INSERT INTO house (id, name, demo, demo_whole, settings) VALUES (1, $1, false, true, $2) ON CONFLICT (id) DO UPDATE SET name = $1, settings = house.settings || $2::jsonb`,
        [house.trim(), settings ?? {}],
      );
      if (plan !== null)
        await manager.getRepository(HousePlanEntity).save({ id: 1, plan: plan.value, changedBy: name.trim(), changedAt: new Date(this.clock.now()) });
    });
    return this.sessions.open(person.id, 'password', null, request);
  }

  async all(): Promise<PersonResponse[]> {
    const rows: PersonRow[] = await this.dataSource.query(
      `SELECT person.*, (SELECT max(session.seen_at) FROM session WHERE session.person_id = person.id) AS seen_at FROM person ORDER BY put_away, created_at`,
    );
    return rows.map((row) => ({
      id: row.id,
      name: row.name,
      role: row.role,
      endsAt: row.ends_at?.toISOString() ?? null,
      putAway: row.put_away,
      hasPin: row.pin_hash !== null,
      hasPassword: row.password_hash !== null,
      pinClosed: row.pin_hash !== null && row.tries > PIN_CLOSES_AT,
      seenAt: row.seen_at?.toISOString() ?? null,
    }));
  }

  /** Takes somebody into the crew, or changes what they may and by what they are known. */
  async keep(request: PersonRequest, who: Who): Promise<PersonResponse[]> {
    const { id, role, putAway, pin, password } = request;
    const name = request.name.trim();
    const people = this.dataSource.getRepository(PersonEntity);
    const before = await people.findOneBy({ id });
    if (before === null && (await people.count()) >= MOST_PEOPLE) throw refused([{ field: 'name', ...serverSays('too-many-people', { most: MOST_PEOPLE }) }]);
    if (before !== null && before.name !== name) throw refused([{ field: 'name', ...serverSays('name-in-log', { name: before.name }) }]);
    const endsAt = request.endsAt === undefined ? null : new Date(request.endsAt);
    if (role === 'reader' && endsAt === null) throw refused([{ field: 'endsAt', ...serverSays('reader-without-end') }]);
    if (endsAt !== null && endsAt.getTime() <= this.clock.now() && endsAt.getTime() !== before?.endsAt?.getTime())
      throw refused([{ field: 'endsAt', ...serverSays('end-past') }]);
    const namesake = await people.createQueryBuilder('person').where('lower(person.name) = lower(:name) AND person.id <> :id', { name, id }).getOne();
    if (namesake !== null) throw refused([{ field: 'name', ...serverSays('name-taken', { was: namesake.putAway ? 'yes' : 'no', name: namesake.name }) }]);
    const made = await this.person({ id, name, role, pin, password, by: who.name });
    const secrets = { pinHash: made.pinHash ?? before?.pinHash ?? null, passwordHash: made.passwordHash ?? before?.passwordHash ?? null };
    if (secrets.pinHash === null && secrets.passwordHash === null) throw refused([{ field: 'pin', ...serverSays('no-secret') }]);
    if (role === 'head' && secrets.passwordHash === null) throw refused([{ field: 'password', ...serverSays('head-without-password') }]);
    await this.dataSource.transaction(async (manager) => {
      await manager.query(`LOCK TABLE person IN EXCLUSIVE MODE`);
      if (before !== null && (role !== 'head' || putAway || endsAt !== null)) await requireAnotherHead(manager, id);
      if (before === null) await manager.getRepository(PersonEntity).insert({ ...made, ...secrets, endsAt, putAway });
      else
        await manager
          .getRepository(PersonEntity)
          .update({ id }, { role, endsAt, putAway, ...secrets, ...(pin === undefined && password === undefined ? {} : { tries: 0, waitUntil: null }) });
    });
    const changed = before !== null && (putAway || role !== before.role || pin !== undefined || password !== undefined);
    if (changed) await this.sessions.endAllOf(id, id === who.personId && !putAway ? who.sessionId : null);
    return this.all();
  }

  /** One's own PIN or password. Sessions elsewhere end. */
  async ownSecret({ current, pin, password }: OwnSecretRequest, who: Who): Promise<void> {
    const people = this.dataSource.getRepository(PersonEntity);
    const person = await people.findOneByOrFail({ id: who.personId });
    if (pin === undefined && password === undefined) throw refused([{ field: 'pin', ...serverSays('no-new-secret') }]);
    const known = (await isSecret(current, person.passwordHash)) || (await isSecret(current, person.pinHash));
    if (!known) throw refused([{ field: 'current', ...serverSays('wrong-secret-of-now') }]);
    // Who knows only the PIN does not get at the password by it.
    if (password !== undefined && person.passwordHash !== null && !(await isSecret(current, person.passwordHash)))
      throw refused([{ field: 'current', ...serverSays('password-of-now-needed') }]);
    const made = await this.person({ name: person.name, role: person.role, pin, password, by: who.name });
    await people.update(
      { id: person.id },
      {
        ...(pin === undefined ? {} : { pinHash: made.pinHash }),
        ...(password === undefined ? {} : { passwordHash: made.passwordHash }),
        tries: 0,
        waitUntil: null,
      },
    );
    await this.sessions.endAllOf(person.id, who.sessionId);
  }

  /** Whether somebody of that name is or was of the crew. */
  async knows(name: string): Promise<boolean> {
    return this.dataSource.getRepository(PersonEntity).createQueryBuilder('person').where('person.name = :name', { name: name.trim() }).getExists();
  }

  /** The crew of the made-up house, once. */
  async keepDemo(): Promise<void> {
    const people = this.dataSource.getRepository(PersonEntity);
    if (await people.exists()) return;
    const now = this.clock.now();
    const made = await Promise.all(
      DEMO_CREW.map(async ({ name, role, pin, endsInDays }, i) => ({
        ...(await this.person({ name, role, pin, by: 'Bunkhouse' })),
        createdAt: new Date(now + i),
        endsAt: endsInDays === undefined ? null : new Date(now + endsInDays * DAY_MS),
      })),
    );
    await people.createQueryBuilder().insert().values(made).orIgnore().execute();
  }

  private async person({ id = randomUUID(), name, role, pin, password, by }: NewPerson): Promise<PersonEntity> {
    const weak = pin === undefined ? null : weakPin(pin);
    if (weak !== null) throw refused([{ field: 'pin', ...weak }]);
    if (password?.toLowerCase().includes(name.trim().toLowerCase()) === true) throw refused([{ field: 'password', ...serverSays('password-with-name') }]);
    return {
      id,
      name: name.trim(),
      role,
      pinHash: pin === undefined ? null : await hashSecret(pin),
      passwordHash: password === undefined ? null : await hashSecret(password),
      endsAt: null,
      putAway: false,
      tries: 0,
      waitUntil: null,
      createdBy: by,
      createdAt: new Date(this.clock.now()),
    };
  }
}

interface NewPerson {
  id?: string;
  name: string;
  role: PersonEntity['role'];
  pin: string | undefined;
  password?: string | undefined;
  by: string;
}

/** A house without a head cook would be closed for ever. */
async function requireAnotherHead(manager: EntityManager, id: string): Promise<void> {
  const heads = await manager.getRepository(PersonEntity).find({ where: { role: 'head', putAway: false, id: Not(id) } });
  const self = await manager.getRepository(PersonEntity).findOneBy({ id });
  if (self?.role === 'head' && !heads.some(({ endsAt }) => endsAt === null)) throw refused([{ field: 'role', ...serverSays('last-head-cook') }]);
}

interface PersonRow {
  id: string;
  name: string;
  role: PersonEntity['role'];
  pin_hash: string | null;
  password_hash: string | null;
  ends_at: Date | null;
  put_away: boolean;
  tries: number;
  seen_at: Date | null;
}
