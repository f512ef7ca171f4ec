// Prints ports that nobody listens on, as many as asked for.
import { once } from 'node:events';
import { createServer } from 'node:net';

const probes = Array.from({ length: Number(process.argv[2] ?? 1) }, () => createServer().listen(0, '127.0.0.1'));
await Promise.all(probes.map((probe) => once(probe, 'listening')));
console.log(probes.map((probe) => probe.address().port).join(' '));
for (const probe of probes) probe.close();
