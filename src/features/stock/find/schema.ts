import { z } from 'zod';
import { requiredText } from '../../../ui/form/fieldSchemas';

export const filterForm = z.object({
  name: requiredText('Give it a name, like switches for 230 V.', 60),
  filter: requiredText('Ask stock something first, then save the search.', 200),
});
