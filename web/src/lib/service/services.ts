import { answer, api } from '$lib/api/client';
import type { ServiceTried } from '$lib/api/types';
import type { ServiceKind } from './serviceWords';

export const servicesQuery = () => ({
  queryKey: ['services'],
  queryFn: () => answer(api.GET('/api/services')),
  refetchOnWindowFocus: false
});

/** Tries the way to a service, as it is set. */
export async function tryOut(kind: ServiceKind): Promise<ServiceTried> {
  if (kind === 'MAIL_SERVER') return answer(api.POST('/api/mail-server/try'));
  if (kind === 'MAILBOX') return answer(api.POST('/api/mailbox/try'));
  return answer(api.POST('/api/text-service/try'));
}
