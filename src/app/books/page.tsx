import { ShopBooks } from '@/ui';

export const metadata = { title: 'Shop books · Yellow Sheet' };

export default function Page() {
  return <ShopBooks />;
}
