import { NotHere } from '../parts/not-here';

export default function NotFoundRoute() {
  return <NotHere what="page" back="/" />;
}
