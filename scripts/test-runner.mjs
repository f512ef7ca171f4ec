import { createRunner } from 'jest-light-runner';

const Runner = createRunner({ runtime: 'child_process' });

/** Tells the process that asks for it, and no other, what it works on. */
function channelWith(workerData) {
  let tell = () => undefined;
  return {
    onMessage: (listener) => (tell = listener),
    postMessage: (message) =>
      message === 'jest-light-runner-get-worker-data' && tell({ type: 'jest-light-runner-worker-data', workerData }),
  };
}

/**
 * The package’s runner tells all processes at once when one of them asks; a process that was not listening yet then
 * waited for ever, on a busy machine. Here each run has a channel of its own.
 */
export default class TestRunner extends Runner {
  _runTest(test) {
    const { config } = test.context;
    const running = super._runTest(test);
    const entry = this._testRunners.get(config);
    const workerData = { globalConfig: this._globalConfig, projectConfig: config, runtime: this._runtime };
    entry.run = ({ path }) => entry.pool.run(path, { channel: channelWith(workerData) });
    return running;
  }
}
