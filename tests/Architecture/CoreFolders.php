<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** The rooms of the core in the order in which they build on one another, checked whenever the core is analysed. */
final class CoreFolders
{
    /** A room uses itself and those before it. */
    private const ORDER = [
        'Foundation',
        'Sculpt',
        'Standard',
        'Colour',
        'Planning\\Demand',
        'Planning\\Sequencing',
        'Planning\\Choice',
        'Planning\\Plan',
        'Planning\\Unit',
        'Planning\\Outlook',
        'Bench',
        'Picture\\Booth',
        'Picture\\Photo',
        'Inspection',
        'Ladder',
        'Studio',
        'Words',
        'Format',
    ];

    /** @return iterable<string, Rule> */
    public function testFoldersUseOnlyThoseBeforeThem(): iterable
    {
        foreach (self::ORDER as $place => $folder) {
            $later = array_map(self::in(...), array_slice(self::ORDER, $place + 1));
            if ($later !== []) {
                yield $folder => PHPat::rule()
                    ->classes(self::in($folder))
                    ->shouldNot()
                    ->dependOn()
                    ->classes(...$later)
                    ->because("$folder comes before them");
            }
        }
    }

    public function testTheCoreKnowsNoFramework(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Ordotype\Core'))
            ->shouldNot()
            ->dependOn()
            ->classes(
                Selector::inNamespace('Illuminate'),
                Selector::inNamespace('App'),
                Selector::inNamespace('Symfony'),
            )
            ->because('it is told everything it needs');
    }

    public function testEveryFolderHasItsPlace(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Ordotype\Core'))
            ->excluding(...array_map(self::in(...), self::ORDER))
            ->shouldNot()
            ->exist()
            ->because('a room that the order does not name is not held to it');
    }

    private static function in(string $folder): \PHPat\Selector\ClassNamespace
    {
        return Selector::inNamespace("Ordotype\\Core\\$folder");
    }
}
