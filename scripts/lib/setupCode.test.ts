import { expect, it } from 'vitest';
import { newSetupCode } from './setupCode.mjs';

it('is another one each time, of signs that are not confused', () => {
	const codes = Array.from({ length: 200 }, newSetupCode);
	expect(new Set(codes).size).toBe(200);
	for (const code of codes) expect(code).toMatch(/^[A-HJ-NP-Z2-9]{8}$/);
});
