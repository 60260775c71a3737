<?php

declare(strict_types=1);

namespace Tests\Core;

use Ordotype\Core\Bench\Stage;
use Ordotype\Core\Bench\StageMove;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The ways of a piece through the studio, move by move from every stage (model.md 9). */
final class StagesTest extends TestCase
{
    /** Where each move leads from each stage; what is not named is not possible. */
    private const WAYS = [
        'hold' => [
            'planned' => 'on_hold',
            'on_bench' => 'on_hold',
            'offered' => 'on_hold',
            'rework' => 'on_hold',
            'passed' => 'on_hold',
        ],
        // Work goes on where it was held.
        'resume' => ['on_hold' => 'rework'],
        'lose' => [
            'planned' => 'lost',
            'on_bench' => 'lost',
            'offered' => 'lost',
            'rework' => 'lost',
            'passed' => 'lost',
            'on_hold' => 'lost',
        ],
        'cancel' => [
            'planned' => 'cancelled',
            'on_bench' => 'cancelled',
            'offered' => 'cancelled',
            'rework' => 'cancelled',
            'passed' => 'cancelled',
            'on_hold' => 'cancelled',
        ],
        'deliver' => ['signed' => 'delivered'],
        // A claim after delivery reopens it, with its sign-off shown.
        'claim' => ['delivered' => 'offered'],
    ];

    /** What may be done with a piece there: steps marked; delivered some day; closed until it is reopened. */
    private const MAY = [
        'planned' => ['work', 'there'],
        'on_bench' => ['work', 'there'],
        'offered' => ['there'],
        'rework' => ['work', 'there'],
        'passed' => ['there'],
        'signed' => ['there', 'closed'],
        'delivered' => ['there', 'closed'],
        'on_hold' => ['there'],
        'lost' => [],
        'cancelled' => [],
    ];

    /** @return iterable<string, array{StageMove, Stage}> */
    public static function moves(): iterable
    {
        foreach (StageMove::cases() as $move) {
            foreach (Stage::cases() as $stage) {
                yield "$move->value from $stage->value" => [$move, $stage];
            }
        }
    }

    #[DataProvider('moves')]
    public function test_a_move_is_possible_from_where_it_is_meant_and_leads_there(StageMove $move, Stage $from): void
    {
        $to = self::WAYS[$move->value][$from->value] ?? null;
        self::assertSame($to !== null, $move->isPossibleFrom($from));
        if ($to !== null) {
            self::assertSame($to, $move->leadsTo($move === StageMove::Resume ? Stage::Rework : null)->value);
        }
        self::assertSame(in_array($move->value, ['hold', 'lose', 'cancel', 'claim'], true), $move->wantsAReason());
    }

    public function test_what_may_be_done_with_a_piece_follows_from_its_stage(): void
    {
        self::assertSame(array_keys(self::MAY), array_column(Stage::cases(), 'value'));
        foreach (Stage::cases() as $stage) {
            $may = self::MAY[$stage->value];
            self::assertSame(in_array('work', $may, true), $stage->isAtWork(), "work on $stage->value");
            self::assertSame(in_array('there', $may, true), $stage->isThere(), "there: $stage->value");
            self::assertSame(in_array('closed', $may, true), $stage->isClosed(), "closed: $stage->value");
            // What was finished goes on the bench again when something is added; what is not stays where it is.
            $finished = in_array($stage->value, ['offered', 'rework', 'passed'], true);
            self::assertSame($finished ? Stage::OnBench : $stage, $stage->afterAddedWork(), "added to $stage->value");
        }
    }

    public function test_a_piece_held_before_work_began_goes_on_as_planned(): void
    {
        self::assertSame(Stage::Planned, StageMove::Resume->leadsTo(null));
        self::assertSame(Stage::Passed, StageMove::Resume->leadsTo(Stage::Passed));
    }
}
