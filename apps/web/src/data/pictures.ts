import type { PictureReadingRequest, PictureResponse } from '@bunkhouse/api';
import useSWR, { mutate } from 'swr';
import { request } from './request';

const of = (batchId: string) => `/api/batches/${batchId}/pictures`;

export const usePictures = (batchId: string) => useSWR<PictureResponse[], Error>(of(batchId), request, { revalidateOnFocus: false });

/** Where a picture itself lies. */
export const pictureUrl = ({ id }: PictureResponse): string => `/api/pictures/${id}`;

export async function keepPicture(batchId: string, { id, piece, at, by }: { id: string; piece: string; at: string; by: string }, file: Blob): Promise<void> {
  const query = new URLSearchParams({ id, piece, at, by });
  await mutate(of(batchId), await request<PictureResponse[]>(`${of(batchId)}?${query.toString()}`, file), { revalidate: false });
}

export async function readPicture({ id, batchId }: PictureResponse, marks: PictureReadingRequest): Promise<void> {
  await mutate(of(batchId), await request<PictureResponse[]>(`/api/pictures/${id}/readings`, marks), { revalidate: false });
}
