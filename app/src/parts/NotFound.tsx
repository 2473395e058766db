import { usePathname, useRouter } from 'expo-router';
import { Page } from './Page';
import { Places } from './Places';
import { Words } from './Words';

/** An address that leads nowhere: said plainly, with the places beside it. */
export function NotFound() {
  const path = usePathname();
  const router = useRouter();
  return (
    <Places>
      <Page
        title="Nothing here"
        says={`There is no page at ${path}.`}
        main={{ name: 'Go to the bench', do: () => router.replace('/') }}
      >
        <Words>Check the address, or choose a place.</Words>
      </Page>
    </Places>
  );
}
