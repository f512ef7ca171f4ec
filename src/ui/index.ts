export { Providers } from './shell/Providers';
export { Board } from './board/Board';
export { JobPage } from './job-page/JobPage';
export { Reckoner } from './reckoner/Reckoner';
export { ShopBooks } from './books/ShopBooks';
