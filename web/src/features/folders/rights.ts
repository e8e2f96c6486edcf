import type { Schema } from '../../api';

type May = Schema['NamedShown']['may'];

/** What somebody may do in a folder, in words. */
export const MAY: Record<May, string> = {
  read: 'reads',
  remark: 'reads and remarks',
  edit: 'changes it',
};
