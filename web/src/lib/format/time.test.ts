import { afterEach, expect, it, vi } from 'vitest';
import { day } from './time';

afterEach(() => vi.unstubAllEnvs());

it.each(['America/Los_Angeles', 'UTC', 'Pacific/Auckland'])('a certificate’s day is the same in %s', (zone) => {
	vi.stubEnv('TZ', zone);
	expect(day('2026-03-01')).toBe('1 Mar 2026');
});
