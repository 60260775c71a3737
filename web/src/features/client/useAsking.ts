import { useMutation, useQueryClient } from '@tanstack/react-query';
import { askStudio } from '../../api/quotes';
import { keepMyName } from './name';

/** Something said to the studio; the page shows it from then on. */
export function useAsking(secret: string, done: () => void) {
    const queries = useQueryClient();
    return useMutation({
        mutationFn: (body: Parameters<typeof askStudio>[1]) => askStudio(secret, body),
        onSuccess: async (_, { name }) => {
            keepMyName(name);
            done();
            await queries.invalidateQueries({ queryKey: ['client-page'] });
        },
    });
}
