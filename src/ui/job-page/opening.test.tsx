import { shown } from '@/testing/page';
import { screen } from '@testing-library/react';
import { makeJob } from '@/testing/jobs';
import { Opening } from './Opening';

const job = makeJob([]);

test('before the job is known the page says that it is opened', () => {
  const { container } = shown(<Opening current={undefined} />);
  expect(screen.getByRole('status').textContent).toBe('Opening the job');
  expect(container.querySelector('[data-opening]')).toBeNull();
});

test('the picture of the first side covers its trim, and all of the bleed is in view', () => {
  const { container } = shown(<Opening current={{ job, head: 7 }} />);
  expect(screen.getByRole('heading', { name: job.name })).toBeTruthy();
  // An A5 with a bleed of 3 mm (ISO 216; the bleed is the one of the format).
  expect(container.querySelector('[data-opening]')?.getAttribute('viewBox')).toBe('-3 -3 154 216');
  const image = container.querySelector('image');
  expect(image?.getAttribute('href')).toBe(`/api/jobs/${job.id}/thumbnail?rev=7`);
  expect(['x', 'y', 'width', 'height'].map((name) => image?.getAttribute(name))).toEqual(['0', '0', '148', '210']);
});
