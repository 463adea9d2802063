import { NotHere } from '../features/shell/not-here';

export default function NotFoundRoute() {
  return <NotHere what="page" back="/" />;
}
