<?php

declare(strict_types=1);

namespace Tests\Browser;

/** What one person alone, and those whom they invite, meet where nothing is there yet. */
final class EmptyStudioBrowserTest extends EmptyStudioTestCase
{
    public function test_every_page_says_what_is_missing_and_a_pack_begins_the_standard(): void
    {
        $chrome = self::$chrome;
        $this->enter('lead');
        $chrome->waitFor('No standard yet');
        $chrome->waitFor('0 of 6');
        self::assertSame([false], array_values(array_unique(array_column($this->get('studio/first-steps')['data'], 'done'))));
        foreach (['prices', 'techniques', 'differences', 'comparison'] as $page) {
            $chrome->open("/standard/$page");
            $chrome->waitFor('No standard yet');
        }
        $empty = [
            'orders' => 'No orders yet',
            'bench' => 'Nothing is on the bench',
            'check' => 'Nothing waits for a check',
            'schemes' => 'No scheme yet',
            'figures' => 'No figure yet',
        ];
        foreach ($empty as $page => $says) {
            $chrome->open("/$page");
            $chrome->waitFor($says);
        }
        $chrome->open('/standard/prices');
        $chrome->press('Choose a pack');
        $chrome->waitFor('Five rungs');
        $chrome->press('See what it would', true);
        $chrome->press('Take it in', true);
        $this->until(fn () => ($this->get('standard')['version']['status'] ?? null) === 'draft');
        $chrome->open('/standard/prices');
        $chrome->waitFor('for each model, low to high');
        $chrome->open('/standard/comparison');
        $chrome->waitFor('No figure yet');

        // An order rests on what is published, and says so.
        $chrome->open('/orders');
        $chrome->press('Open the first one');
        $chrome->waitFor('What it is called');
        foreach (['Client' => 'The Fen Guard', 'What it is called' => 'A guard of twelve'] as $label => $text) {
            $chrome->fill($label, $text, '.ant-modal');
        }
        $chrome->press('Open the order');

        $chrome->waitFor('No version of the standard is published yet');
    }

    public function test_a_lead_alone_publishes_plans_paints_checks_and_signs_a_model(): void
    {
        $chrome = self::$chrome;
        $this->enter('lead');
        $chrome->css('nav.rail');
        $chrome->open('/standard');
        $chrome->press('Publish v1');
        $chrome->css('.ant-modal textarea')->sendKeys('Our first rungs.');
        $chrome->press('Publish v1 for good');
        $chrome->waitFor('v1, published');

        $chrome->open('/figures');
        $chrome->press('Make the first one');
        $chrome->fill('What it is called', 'Fen Guard', '.ant-modal');
        $chrome->press('Make the figure');
        $chrome->css('.map-page');

        $chrome->open('/orders');
        $chrome->press('Open the first one');
        $chrome->fill('Client', 'The Fen', '.ant-modal');
        $chrome->fill('What it is called', 'One alone', '.ant-modal');
        $chrome->press('Open the order');
        $chrome->waitFor('No units yet');
        $chrome->fill('How many models', '1', '.ant-modal');
        $chrome->press('Add the unit');
        $chrome->press('Plan and release');
        $chrome->waitFor('Meets the tier');
        $chrome->press('Release to bench');
        $chrome->waitFor('no colours');
        $chrome->css('.ant-modal input')->sendKeys('It is my own.');
        $chrome->press('Release all the same');
        $chrome->press('To the bench');
        $chrome->waitFor('Take back from the bench');

        $this->paint();
        $chrome->press('Offer 1 finished to the check');
        $chrome->waitFor('Offered to the check');
        $this->openCheck('One alone', 'Check the next: model 1');
        $this->answerAll();
        $chrome->press('Pass');
        $chrome->waitFor('has passed');
        $this->in('One alone', 'Sign off 1 passed')->click();
        $chrome->press('Sign off');
        $chrome->waitFor('Certificate 1');
        $chrome->waitFor('alone');
    }

    public function test_three_people_who_are_invited_sign_in_by_their_links_and_see_their_own_first_page(): void
    {
        $chrome = self::$chrome;
        $links = [];
        $this->enter('lead');
        $chrome->css('nav.rail');
        $invited = ['Ada Fen' => 'painter', 'Bo Marsh' => 'front desk', 'Cis Reed' => 'lead painter'];
        foreach ($invited as $name => $role) {
            $links[$name] = $this->invite($name, $role);
        }
        self::assertSame([], $this->axe());
        $first = ['Ada Fen' => '/bench', 'Bo Marsh' => '/orders', 'Cis Reed' => '/standard'];
        foreach ($links as $name => $link) {
            $chrome->signOut();
            $chrome->open($link);
            $chrome->waitFor("Welcome, $name");
            self::assertSame([], $this->axe());
            $chrome->fill('Password', 'a marsh of herons');
            $chrome->press('Come in');
            $chrome->css('nav.rail');
            $this->until(fn () => str_ends_with($chrome->page->getCurrentURL(), $first[$name]));
            // The link has done its work; the password goes on.
            $chrome->signOut();
            $chrome->open($link);
            $chrome->waitFor('This link opens nothing');
            $this->enter((string) strtok(strtolower($name), ' '), 'a marsh of herons');
            $this->until(fn () => str_ends_with($chrome->page->getCurrentURL(), $first[$name]));
        }
        // The first lead sets one of them aside, and is warned off being the last to go.
        $this->enter('lead');
        $chrome->css('nav.rail');
        $chrome->open('/settings/people');
        $chrome->press('Ada Fen');
        $chrome->press('Set aside');
        $chrome->waitFor('Let in again');
        $this->enter('ada', 'a marsh of herons');
        $chrome->waitFor('do not belong together');
    }
}
