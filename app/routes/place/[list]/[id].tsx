import { useLocalSearchParams } from 'expo-router';
import { EditScreen } from '../../../features/place/edit-screen';

export default function EditRoute() {
  const { list, id, parent } = useLocalSearchParams<{ list: string; id: string; parent?: string }>();
  return <EditScreen key={`${list}/${id}/${parent ?? ''}`} list={list} id={id} parent={parent ?? null} />;
}
