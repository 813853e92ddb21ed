import { execFile } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from './server';

/** What the command line says, and what it ends with. */
const cli = (...args: string[]): Promise<{ code: number; said: string }> =>
	new Promise((done) =>
		execFile(process.execPath, ['scripts/cli.mjs', ...args], (error, out) =>
			done({ code: error ? Number(error.code) : 0, said: out })
		)
	);

test('the command line fits, lists, exports, imports and backs up', async ({ demo }) => {
	const folder = mkdtempSync(join(tmpdir(), 'wendle-cli-'));
	try {
		const at = ['--server', demo.url];
		// The folder of a Wendle that does not run.
		const empty = ['--data', join(folder, 'empty')];
		// 3 5/16 in is 84.1 mm.
		const spool = ['--rim', '3 5/16 in', '--arbor', '38', '--width', '21mm'];
		const fit = await cli('fit', ...spool, ...at);
		expect(fit.said).toMatch(/stop at\s+12\.\d mm under the rim \(\d+\.\d–\d+\.\d\)\nbacking\s+13\d m/);
		expect((await cli('fit', '--rim', 'wide', ...at)).said).toContain('Give --rim as a length');
		const unknown = await cli('fit', ...spool, '--backing', 'string', ...at);
		expect(unknown.code).toBe(1);
		expect(unknown.said).toContain("isn't a backing that Wendle knows");
		expect((await cli('list', 'spools', ...at)).said).toContain('Beck reel, grayling');
		expect((await cli('list', 'boats', ...at)).code).toBe(1);
		const zip = join(folder, 'all.zip');
		expect((await cli('export', zip, ...at)).said).toContain('Everything is in');
		// Looked at first, and brought in only when somebody says so.
		const seen = await cli('import', zip, ...empty);
		expect(seen.said).toMatch(/spools: 8 new/);
		expect(seen.said).toContain('Nothing is written');
		expect((await cli('list', 'spools', ...empty)).said).toBe('');
		expect((await cli('import', zip, '--yes', ...empty)).said).toContain('Brought in');
		const there = (await cli('list', 'windings', ...empty)).said;
		expect(there).toBe((await cli('list', 'windings', ...at)).said);
		writeFileSync(join(folder, 'torn.zip'), 'no zip');
		expect((await cli('import', join(folder, 'torn.zip'), ...at)).code).toBe(1);
		expect((await cli('backup', ...at)).said).toContain('backed up');
		await demo.stop();
		const gone = await cli('list', 'spools', ...at);
		expect(gone.code).toBe(1);
		expect(gone.said).toContain('No Wendle answers');
		expect((await cli('dance')).code).toBe(2);
	} finally {
		rmSync(folder, { recursive: true, force: true });
	}
});
