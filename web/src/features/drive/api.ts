import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, body, keys, type Schema } from '../../api';
import { useAct } from '../session';

const drive = (group: string) => [...keys.living(group), 'drive'] as const;

/** How long until a file that is on its way is asked for again. */
const SOON = 1_000;

/** Where the group's drive is; without an address there is none. */
export function useDrive(group: string) {
  return useQuery({
    queryKey: drive(group),
    queryFn: async ({ signal }) =>
      body(await api.GET('/api/groups/{group}/drive', { params: { path: { group } }, signal })),
  });
}

/** What stands in a folder of the drive; the drive itself is asked, each time somebody looks. */
export function useDriveFolder(group: string, at: string, asked: boolean) {
  return useQuery({
    queryKey: [...drive(group), 'folder', at],
    placeholderData: keepPreviousData,
    enabled: asked,
    staleTime: 0,
    retry: false,
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/drive/folder', {
          params: { path: { group }, query: { at } },
          signal,
        }),
      ),
  });
}

/** Files of the group there, asked for again while one is on its way. */
export function useDriveFiles(group: string, before: string | null, asked: boolean) {
  return useQuery({
    queryKey: [...drive(group), 'files', before],
    placeholderData: keepPreviousData,
    enabled: asked,
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/drive/files', {
          params: { path: { group }, query: before ? { before } : {} },
          signal,
        }),
      ),
    refetchInterval: ({ state: { data } }) =>
      data?.files.some((one) => one.state === 'waiting' && one.trouble === '') ? SOON : false,
  });
}

export function useSetDrive(group: string) {
  return useAct(
    group,
    async (wanted: Schema['SetWanted'], header) =>
      body(
        await api.PUT('/api/groups/{group}/drive', {
          params: { path: { group }, header },
          body: wanted,
        }),
      ),
    () => 'The drive works, and is set for the group.',
    { quiet: true, stays: () => true },
  );
}

export function useForgetDrive(group: string) {
  return useAct(
    group,
    async (_: null, header) =>
      body(await api.DELETE('/api/groups/{group}/drive', { params: { path: { group }, header } })),
    () => 'The drive is given up; what stands there stays.',
    { stays: () => true },
  );
}

export function usePutOnDrive(group: string) {
  return useAct(
    group,
    async (wanted: Schema['PutWanted'], header) =>
      body(
        await api.POST('/api/groups/{group}/drive/files', {
          params: { path: { group }, header },
          body: wanted,
        }),
      ),
    ({ path }) => `“${path}” is on its way to the drive.`,
    { quiet: true, stays: () => true },
  );
}

/** What can be done with a file that is there. */
export function useDriveActs(group: string) {
  const at = (driveFile: string, header: { 'Command-Id': string }) => ({
    params: { path: { group, driveFile }, header },
  });
  const again = useAct(
    group,
    async ({ id, over }: { id: string; over: boolean }, header) =>
      body(
        await api.POST('/api/groups/{group}/drive/files/{driveFile}/again', {
          ...at(id, header),
          body: { over },
        }),
      ),
    ({ path }) => `“${path}” is on its way to the drive.`,
    { stays: () => true },
  );
  const keep = useAct(
    group,
    async ({ id, kept }: { id: string; kept: boolean }, header) =>
      body(
        await api.PUT('/api/groups/{group}/drive/files/{driveFile}', {
          ...at(id, header),
          body: { kept },
        }),
      ),
    ({ path }, { kept }) =>
      kept ? `“${path}” is kept up to date.` : `“${path}” stays as it is from now on.`,
  );
  const leave = useAct(
    group,
    async (id: string, header) =>
      body(await api.DELETE('/api/groups/{group}/drive/files/{driveFile}', at(id, header))),
    ({ path }) => `“${path}” is looked after no more; it stays on the drive.`,
  );
  return { again, keep, leave };
}
