<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/** `docs/glossary.md` explains names that are there, each once and in order. */
final class GlossaryTest extends TestCase
{
    public function test_every_word_is_a_name_in_the_code(): void
    {
        $root = dirname(__DIR__, 2);
        preg_match_all('/^\| `(\w+)` \| \S/m', (string) file_get_contents("$root/docs/glossary.md"), $found);
        $words = $found[1];
        self::assertGreaterThan(40, count($words));

        $sorted = $words;
        sort($sorted, SORT_FLAG_CASE | SORT_STRING);
        self::assertSame(array_values(array_unique($sorted)), $words);

        $names = '';
        foreach (["$root/core/src", "$root/app", "$root/web/src"] as $folder) {
            /** @var SplFileInfo $file */
            foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($folder)) as $file) {
                $names .= preg_match('/\.(php|tsx?)$/', $file->getFilename()) === 1
                    ? file_get_contents($file->getPathname())
                    : '';
            }
        }
        preg_match_all('/\b(?:class|enum|interface|function|type) (\w+)/', $names, $declared);
        self::assertSame([], array_values(array_diff($words, $declared[1])));
    }
}
