import { Reckoner } from '@/ui';

export const metadata = { title: 'Reckoner · Yellow Sheet' };

export default function Page() {
  return <Reckoner />;
}
