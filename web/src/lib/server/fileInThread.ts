import { inThread } from '@exetasis/server/background/threads';
import { files, type FileTask } from './jobFiles';

/** Makes a file of a job for a shop, in a thread if the server has them. Errors: as `inThread`. */
export const fileInThread = <T extends FileTask>(
	shop: string,
	task: T,
	...of: Parameters<(typeof files)[T]>
): Promise<Uint8Array> =>
	inThread('page', shop, { task, of }, () => (files[task] as (...of: unknown[]) => Promise<Uint8Array>)(...of));
