import type {
  FirstRequest,
  OpenSession,
  OwnSecretRequest,
  PersonRequest,
  PersonResponse,
  SessionResponse,
  SignInRequest,
  TabletResponse,
} from '@bunkhouse/api';
import useSWR, { mutate } from 'swr';
import { forgetKnown } from './lastKnown';
import { request } from './request';

export const SESSION = '/api/session';
const CREW = '/api/crew';
const SESSIONS = '/api/sessions';
const TABLETS = '/api/tablets';

/** Who stands at this device. `undefined` until the first answer. */
export const useSession = () => useSWR<SessionResponse, Error>(SESSION, request, { refreshInterval: 20_000, keepPreviousData: true });

const entered = async (session: SessionResponse): Promise<void> => {
  await mutate(SESSION, session, { revalidate: false });
  // What was refused a moment ago is asked for again.
  void mutate((key) => key !== SESSION);
};

export const signIn = async (asked: SignInRequest): Promise<void> => entered(await request<SessionResponse>(SESSION, asked));

export const makeFirst = async (asked: FirstRequest): Promise<void> => entered(await request<SessionResponse>(`${SESSION}/first`, asked));

/** Signs out here. What was known of the house is forgotten on this device; what waits to be sent is not. */
export async function signOut(): Promise<void> {
  const session = await request<SessionResponse>(`${SESSION}/end`, {});
  await forgetKnown();
  await mutate(SESSION, session, { revalidate: false });
  await mutate((key) => key !== SESSION, undefined, { revalidate: false });
}

/** Somebody does something here: the device does not lock yet. */
export async function touch(): Promise<void> {
  await mutate(SESSION, await request<SessionResponse>(`${SESSION}/here`, {}, { quietly: true }), { revalidate: false });
}

export const changeSecret = (asked: OwnSecretRequest): Promise<SessionResponse> => request<SessionResponse>(`${SESSION}/secret`, asked);

export const useCrew = (asks: boolean) => useSWR<PersonResponse[], Error>(asks ? CREW : null, request).data;
export const keepPerson = async (asked: PersonRequest): Promise<void> => {
  await mutate(CREW, await request<PersonResponse[]>(CREW, asked), { revalidate: false });
  void mutate(SESSION);
};

export const useSessions = () => useSWR<OpenSession[], Error>(SESSIONS, request).data;
export const endSession = async (id: string): Promise<void> => {
  await mutate(SESSIONS, await request<OpenSession[]>(`${SESSIONS}/${id}/end`, {}), { revalidate: false });
};

export const useTablets = (asks: boolean) => useSWR<TabletResponse[], Error>(asks ? TABLETS : null, request).data;
export const putUpTablet = async (name: string): Promise<void> => {
  await mutate(TABLETS, await request<TabletResponse[]>(TABLETS, { name }), { revalidate: false });
  void mutate(SESSION);
};
export const takeDownTablet = async (id: string): Promise<void> => {
  await mutate(TABLETS, await request<TabletResponse[]>(`${TABLETS}/${id}/end`, {}), { revalidate: false });
  void mutate(SESSION);
};
