import { Board } from '@/ui';

export default function Page() {
  return <Board />;
}
