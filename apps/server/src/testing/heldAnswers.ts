import { Ajv2020, type ErrorObject, type ValidateFunction } from 'ajv/dist/2020.js';
import addFormats from 'ajv-formats';
import type { ErrorResponse } from '@bunkhouse/api';
import { API_WORDS } from '@bunkhouse/api/words';
import { ENGLISH } from '@bunkhouse/core';
import type { OpenAPIObject } from '@nestjs/swagger';
import type { NestExpressApplication } from '@nestjs/platform-express';
import type { NextFunction, Request, Response } from 'express';

/** What a server answered, against what it says that it answers. */
export interface HeldAnswers {
  /** `get /api/batches/{id} 200` of every answer that was described and fits */
  seen: Set<string>;
  /** every answer that is not described, or that is not as it is described */
  faults: string[];
}

type Described = Record<string, { responses: Record<string, { content?: Record<string, { schema?: object }> }> } | undefined>;

/** Holds each answer of a server against its own description, from now on. */
export function holdAnswers(app: NestExpressApplication, document: OpenAPIObject): HeldAnswers {
  const held: HeldAnswers = { seen: new Set(), faults: [] };
  const ajv = new Ajv2020({ strict: false, allErrors: false });
  (addFormats as unknown as (to: Ajv2020) => void)(ajv);
  ajv.addSchema(document, 'api');
  const compiled = new Map<string, ValidateFunction>();
  const check = (request: Request, status: number, type: string, body: unknown): void => {
    const route = (request.route as { path?: string } | undefined)?.path;
    if (route === undefined || !route.startsWith('/api/') || route.startsWith('/api/openapi')) return;
    const path = route.replace(/:(\w+)/g, '{$1}');
    const way = request.method.toLowerCase();
    const answer = `${way} ${path} ${status}`;
    const response = (document.paths[path] as Described | undefined)?.[way]?.responses[String(status)];
    if (response === undefined) return void held.faults.push(`${answer} is not described.`);
    const media = Object.entries(response.content ?? {}).find(([own]) => type.startsWith(own));
    if (type !== '' && media === undefined) return void held.faults.push(`${answer} is not described as ${type}.`);
    if (body !== undefined && media?.[1].schema !== undefined) {
      const pointer = ['paths', path, way, 'responses', String(status), 'content', media[0], 'schema'].map((part) =>
        part.replaceAll('~', '~0').replaceAll('/', '~1'),
      );
      let validate = compiled.get(answer);
      if (validate === undefined) compiled.set(answer, (validate = ajv.compile({ $ref: `api#/${pointer.map(encodeURIComponent).join('/')}` })));
      if (!validate(body)) return void held.faults.push(`${answer}: ${told(validate.errors)}`);
    }
    if (status >= 400) held.faults.push(...unsaid(body).map((what) => `${answer}: ${what}`));
    held.seen.add(answer);
  };
  app.use((request: Request, response: Response, next: NextFunction) => {
    let body: unknown;
    const json = response.json.bind(response);
    response.json = (value: unknown) => {
      body = value === undefined ? undefined : JSON.parse(JSON.stringify(value));
      return json(value);
    };
    response.on('finish', () => check(request, response.statusCode, String(response.getHeader('content-type') ?? ''), body));
    next();
  });
  return held;
}

/** What an error says without a code that there are words for: nobody could read it in their own. */
function unsaid(body: unknown): string[] {
  const { errors = [], ...whole } = body as Partial<ErrorResponse>;
  return [whole, ...errors].flatMap(({ code, args, message }) =>
    code !== undefined && args !== undefined && Object.hasOwn(WORDS, code) ? [] : [`"${message ?? ''}" has no code (${code ?? 'none'}).`],
  );
}
const WORDS = { ...ENGLISH, ...API_WORDS };

const told = (errors: readonly ErrorObject[] | null | undefined): string =>
  (errors ?? [])
    .slice(0, 3)
    .map(({ instancePath, message, params }) => `${instancePath} ${message ?? ''} ${JSON.stringify(params)}`)
    .join('; ');
