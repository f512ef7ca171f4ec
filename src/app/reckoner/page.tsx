import { Reckoner } from '@/ui/reckoner/Reckoner';

export const metadata = { title: 'Reckoner · Yellow Sheet' };

export default function Page() {
  return <Reckoner />;
}
