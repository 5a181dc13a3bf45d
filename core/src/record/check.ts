import { kindOf, type Entry } from './entry';
import type { JobFacts } from './jobFacts';
import type { EntryProblem } from './problem';

/** Whether an entry fits its job: the part is on the mat, the size is on the sheet, an overrule has its reason. */
export const checkEntry = (entry: Entry, job: JobFacts): EntryProblem | undefined => kindOf(entry).check(entry, job);
