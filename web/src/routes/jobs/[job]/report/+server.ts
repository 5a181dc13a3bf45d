import { lateWork } from '@exetasis/server/benchLog/late';
import { benchOf } from '@exetasis/server/jobs/bench';
import { foreseen } from '@exetasis/server/jobs/forecasts';
import { letterheadOf } from '@exetasis/server/letterhead';
import { photosNamed } from '@exetasis/server/photos/photos';
import { shopOf } from '@exetasis/server/shops';
import { photosToShow } from '$lib/report/customerReport';
import { fileInThread } from '$lib/server/fileInThread';
import { found, idFrom, fileNamed, notationOf, scopeOf } from '$lib/server/request';

/** The report of a job in the reader's notation: `?for=customer` for the pump's owner, else for the shop. */
export async function GET({ locals, params, url }) {
	const scope = scopeOf(locals);
	const notation = notationOf(locals);
	const bench = await foreseen(scope.shopId, found(await benchOf(scope, idFrom(params.job))));
	const shop = await shopOf(scope);
	const { id, serial } = bench.job;
	if (url.searchParams.get('for') !== 'customer') {
		const report = await fileInThread(scope.shopId, 'shopReport', bench, notation, shop, await lateWork(scope, id));
		return fileNamed(`shop-report-${serial}`, 'pdf', 'application/pdf', report);
	}
	const wanted = photosToShow(bench);
	const bytes = await photosNamed(
		scope,
		id,
		wanted.map(({ sha256 }) => sha256)
	);
	const photos = wanted.flatMap(({ says, sha256 }) => {
		const jpeg = bytes.get(sha256);
		return jpeg ? [{ says, jpeg: `data:image/jpeg;base64,${jpeg.toString('base64')}` }] : [];
	});
	const letterhead = await letterheadOf(scope);
	const report = await fileInThread(scope.shopId, 'customerReport', bench, notation, shop, letterhead, photos);
	return fileNamed(`report-${serial}`, 'pdf', 'application/pdf', report);
}
