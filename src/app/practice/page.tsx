import { PracticePage } from '@/ui/practice/PracticePage';

export const metadata = { title: 'Practice · Yellow Sheet' };

export default function Page() {
  return <PracticePage />;
}
