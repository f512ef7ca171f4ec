import { afterRest } from './give-back';

test('what is done after a rest is done once, a while after the last moment, and again after the next', async () => {
  let count = 0;
  const moment = afterRest(() => (count += 1), 60);
  const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
  const until = async (wanted: number) => {
    while (count < wanted) await pause(5);
  };
  for (let i = 0; i < 5; i += 1) moment();
  expect(count).toBe(0);
  await until(1);
  await pause(150);
  expect(count).toBe(1);
  moment();
  await until(2);
  expect(count).toBe(2);
});
