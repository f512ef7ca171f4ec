import { WeeksPage } from '@/ui/weeks/WeeksPage';

export const metadata = { title: 'Weeks · Yellow Sheet' };

export default function Page() {
  return <WeeksPage />;
}
