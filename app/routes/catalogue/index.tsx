import { CatalogueLayout } from '../../features/catalogue/catalogue-layout';

export default function CatalogueRoute() {
  return <CatalogueLayout />;
}
