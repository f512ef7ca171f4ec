import { Intake } from '@/ui/intake/Intake';

export const metadata = { title: 'Intake · Yellow Sheet' };

export default function Page() {
  return <Intake />;
}
