<?php

declare(strict_types=1);

namespace Tests\Browser;

use Tests\Support\WalksTheBench;

/** An installation without demo data: one lead, and nothing else yet. */
abstract class EmptyStudioTestCase extends BrowserTestCase
{
    use WalksTheBench;

    protected const FILL = [PHP_BINARY, 'artisan', 'ordotype:install'];

    protected const PASSWORD = 'reeds over the sluice';

    /** The first account, as it is told where there is no terminal. */
    protected const TOLD = [
        'ORDOTYPE_LEAD_NAME' => 'Lone Lead',
        'ORDOTYPE_LEAD_EMAIL' => 'lead@studio.example',
        'ORDOTYPE_LEAD_PASSWORD' => self::PASSWORD,
    ];

    protected function enter(string $who, string $password = self::PASSWORD): void
    {
        $chrome = self::$chrome;
        $chrome->open('/');
        $chrome->signOut();
        $chrome->open('/');
        $chrome->fill('E-mail', "$who@studio.example");
        $chrome->fill('Password', $password);
        $chrome->press('Sign in');
    }

    /** By a link that is told once. */
    protected function invite(string $name, string $role): string
    {
        $chrome = self::$chrome;
        $chrome->open('/settings/people');
        $chrome->press('Invite somebody');
        $chrome->fill('Name', $name, '.ant-drawer');
        $chrome->fill('E-mail address', strtok(strtolower($name), ' ').'@studio.example', '.ant-drawer');
        $chrome->choose('Role', $role, '.ant-drawer');
        $chrome->press('Invite and show the link');
        $chrome->waitFor('it is not shown again');
        $link = (string) parse_url($chrome->css('.ant-drawer strong')->getText(), PHP_URL_PATH);
        $chrome->press('Done');
        $chrome->waitFor($name);

        return $link;
    }
}
