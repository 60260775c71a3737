import { can, usePerson } from '../../app/session';
import { SubNav } from '../../ui/SubNav';

/** Settings of the studio for those who look after it, and everybody's own. */
export function SettingsTabs() {
    const leads = can(usePerson(), 'people.edit');
    return (
        <SubNav
            label="Settings"
            pages={[
                ...(leads
                    ? [
                          { to: '/settings/people', name: 'People' },
                          { to: '/settings/studio', name: 'Studio' },
                      ]
                    : []),
                { to: '/settings/you', name: 'You' },
            ]}
        />
    );
}
