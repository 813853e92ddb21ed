import { spawnSync } from 'node:child_process';

/** Installs Debian's packages. @param {readonly string[]} packages */
export function installDebian(packages) {
	console.log(`Installing ${packages.join(', ')} ...`);
	const sudo = process.getuid?.() === 0 ? [] : ['sudo'];
	for (const args of [
		['apt-get', 'update', '-q'],
		['apt-get', 'install', '-y', '-q', '--no-install-recommends', ...packages]
	]) {
		const [command = '', ...rest] = [...sudo, ...args];
		const { status } = spawnSync(command, rest, {
			stdio: 'inherit',
			env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }
		});
		if (status !== 0) throw new Error(`${packages.join(', ')} could not be installed: install it yourself.`);
	}
}
