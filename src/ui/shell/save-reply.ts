import { replyWords } from '@/intake/reply-words';
import { ApiError, type HouseAnswer } from './api';
import { saveFile } from './save-file';

/** Has a reply set as a page, and saves it where the browser keeps what it is given. */
export async function saveReply({ reply, pictures }: HouseAnswer, file: string, house: string): Promise<void> {
  const { lines, ...words } = replyWords(reply);
  const body = {
    ...words,
    house: house || 'A print house',
    file: file.slice(0, 255),
    day: new Date().toISOString().slice(0, 10),
    lines: lines.map((line, i) => ({ ...line, picture: pictures[i] ?? '' })),
  };
  const response = await fetch('/api/intake/reply', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  if (!response.ok) throw new ApiError(response.status, 'The reply could not be set as a page.', 'Try again.', {});
  saveFile(await response.blob(), `${file.replace(/\.pdf$/i, '')}-reply.pdf`);
}
