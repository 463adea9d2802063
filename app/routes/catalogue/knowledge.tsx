import { KnowledgeScreen } from '../../features/catalogue/knowledge-screen';

export default KnowledgeScreen;
