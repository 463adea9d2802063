import { RoomsScreen } from '../../features/rooms/rooms-screen';

export default function RoomsRoute() {
  return <RoomsScreen roomId={null} />;
}
