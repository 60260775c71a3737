<?php

declare(strict_types=1);

namespace App\Console;

use App\Models\SignOff;
use App\Studio\NamesApart;
use InvalidArgumentException;
use Ordotype\Core\Foundation\Chain;
use Ordotype\Core\Foundation\Link;
use Ordotype\Core\Words\RecordWords;

final class VerifyCommand extends CoreCommand
{
    protected $signature = 'ordotype:verify {--head= : hash the last record must have, as on a certificate}';

    protected $description = 'Go through the chain of sign-offs and the names beside it, and say what is broken';

    protected function work(): int
    {
        $head = $this->file('head');
        if ($head !== null && preg_match('/^[0-9a-f]{64}$/D', $head) !== 1) {
            throw new InvalidArgumentException('--head must be a SHA-256: 64 digits and letters a to f.');
        }
        $links = (function () {
            foreach (SignOff::query()->orderBy('number')->cursor() as $record) {
                yield new Link($record->number, $record->previous, $record->hash, $record->record);
            }
        })();
        $broken = Chain::broken($links, $head);
        if ($broken !== null) {
            $where = $broken->number === null ? '' : " at record $broken->number";
            $this->error("Broken$where: ".RecordWords::broken($broken).'.');

            return self::FAILURE;
        }
        $exchanged = NamesApart::exchanged();
        if ($exchanged !== []) {
            $this->error(
                'Broken: the names beside record '.implode(', ', $exchanged).' are not those that were signed.',
            );

            return self::FAILURE;
        }
        $count = SignOff::query()->count();
        $this->line(
            $count === 0
                ? 'The chain is empty.'
                : "$count records, all whole. Head: ".SignOff::query()->orderByDesc('number')->value('hash'),
        );

        return self::SUCCESS;
    }
}
