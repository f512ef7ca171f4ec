import { ShopBooks } from '@/ui/books/ShopBooks';

export const metadata = { title: 'Shop books · Yellow Sheet' };

export default function Page() {
  return <ShopBooks />;
}
