/** `npm run counter`: the simulated turn counter on its own port. */
import { Counter, counterServer } from './counter.mjs';

const PORT = Number(process.env['COUNTER_PORT'] ?? 4317);
const counter = new Counter();
const server = counterServer(counter).listen(PORT, '127.0.0.1', () =>
	console.log(`The counter is on http://127.0.0.1:${PORT}: open that page to turn it. Ctrl+C stops it.`)
);
server.on('error', (error) => {
	console.error(
		'code' in error && error.code === 'EADDRINUSE'
			? `Something else is on port ${PORT}: stop it, or choose another with COUNTER_PORT=4318 npm run counter.`
			: error
	);
	process.exitCode = 1;
});
for (const signal of ['SIGINT', 'SIGTERM'])
	process.once(signal, () => {
		counter.stop();
		server.close();
	});
