import type { ToolCheckRequest, ToolRequest, ToolResponse } from '@bunkhouse/api';
import useSWR, { mutate } from 'swr';
import { request } from './request';

const TOOLS = '/api/tools';

export const useTools = () => useSWR<ToolResponse[], Error>(TOOLS, request, { revalidateOnFocus: false });

const keepAnswer = async (answer: Promise<ToolResponse[]>): Promise<void> => void (await mutate(TOOLS, await answer, { revalidate: false }));

export const keepTool = (tool: ToolRequest): Promise<void> => keepAnswer(request<ToolResponse[]>(TOOLS, tool));

export async function checkTool(id: string, check: ToolCheckRequest): Promise<void> {
  await keepAnswer(request<ToolResponse[]>(`${TOOLS}/${id}/checks`, check));
  // Curves of its channel are other ones from now on.
  void mutate((key) => typeof key === 'string' && (key.startsWith('/api/readings') || key.startsWith('/api/devices')));
}
