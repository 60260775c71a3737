<?php

declare(strict_types=1);

namespace Tests\Core;

use FilesystemIterator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;
use Tests\Support\Circles;
use Tests\Support\ClosedSets;

/** The core depends on PHP itself and on nothing else: no framework, no clock, no input or output, no chance. */
final class ArchitectureTest extends TestCase
{
    /** Global functions that read the world or change it. */
    private const FORBIDDEN =
        '/^(time|microtime|hrtime|date|gmdate|mktime|strtotime|checkdate|idate|getdate|localtime|rand|mt_rand|random_int|random_bytes|shuffle|array_rand|str_shuffle|uniqid|lcg_value'.
        '|f(open|read|write|gets|puts|close|lock|scanf|getcsv|putcsv|passthru|stat)|file(|_get_contents|_put_contents|mtime|size)|is_file|is_dir|readfile|unlink|rename|copy|mkdir|rmdir|glob|scandir|opendir'.
        '|tempnam|tmpfile|touch|chmod|exec|shell_exec|system|passthru|proc_open|popen|mail|header|setcookie|session_\w+|getenv|putenv|ini_set|set_time_limit|sleep|usleep|curl_\w+|fsockopen|stream_\w+'.
        '|error_log|trigger_error|printf|vprintf|print_r|var_dump|debug_zval_refcount|base_path|config|app|env|now|collect|logger|dd|dump|resolve|event|cache|request|response|route|trans|__|view)$/';

    private const CLASSES = '/^(Date\w*|Spl\w*File\w*|DirectoryIterator|PDO\w*|mysqli\w*|Curl\w*|Random)$/';

    /** @return iterable<string, array{string}> */
    public static function files(): iterable
    {
        return self::filesIn('core/src');
    }

    /** @return iterable<string, array{string}> */
    private static function filesIn(string $folder): iterable
    {
        $root = dirname(__DIR__, 2)."/$folder";
        foreach (
            new RecursiveIteratorIterator(new RecursiveDirectoryIterator($root, FilesystemIterator::SKIP_DOTS)) as $file
        ) {
            if ($file instanceof SplFileInfo && $file->getExtension() === 'php') {
                yield substr($file->getPathname(), strlen($root) + 1) => [$file->getPathname()];
            }
        }
    }

    #[DataProvider('files')]
    public function test_core_names_nothing_but_itself_and_php(string $file): void
    {
        $source = (string) file_get_contents($file);
        self::assertStringContainsString('declare(strict_types=1);', $source);
        self::assertSame([], self::outside($source));
    }

    public function test_files_and_methods_can_be_taken_in_at_once(): void
    {
        foreach (self::files() as $name => [$file]) {
            $lines = file($file, FILE_IGNORE_NEW_LINES) ?: [];
            self::assertLessThanOrEqual(400, count($lines), $name);
            self::assertLessThanOrEqual(120, max(array_map(mb_strlen(...), $lines)), $name);
            foreach (self::methods($lines) as $method => $length) {
                self::assertLessThanOrEqual(60, $length, "$name: $method");
            }
        }
    }

    /** The longest file of a folder that people write; what the build makes is not looked at. */
    public function test_the_application_and_the_interface_can_be_taken_in_at_once(): void
    {
        $root = dirname(__DIR__, 2);
        foreach (['app' => 420, 'web/src' => 250] as $folder => $most) {
            $found = 0;
            /** @var SplFileInfo $file */
            foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator("$root/$folder")) as $file) {
                $name = substr($file->getPathname(), strlen($root) + 1);
                if (preg_match('/\.(php|tsx?|css)$/', $name) !== 1 || str_ends_with($name, 'schema.d.ts')) {
                    continue;
                }
                $lines = file($file->getPathname(), FILE_IGNORE_NEW_LINES) ?: [''];
                self::assertLessThanOrEqual(120, max(array_map(mb_strlen(...), $lines)), $name);
                self::assertLessThanOrEqual(str_ends_with($name, '.css') ? 1500 : $most, count($lines), $name);
                $found++;
            }
            self::assertGreaterThan(100, $found, $folder);
        }
    }

    /** A page that is looked at changes nothing, and what both look at and change by is neither's. */
    public function test_no_query_names_an_action(): void
    {
        $named = [];
        foreach (self::filesIn('app/Queries') as $name => [$file]) {
            if (str_contains((string) file_get_contents($file), 'App\\Actions\\')) {
                $named[] = $name;
            }
        }
        self::assertSame([], $named);
    }

    /** A visitor names the kinds and each kind names it: that is what tells a kind apart, and the one circle there is. */
    public function test_no_classes_of_the_core_use_one_another_in_a_circle(): void
    {
        $uses = [];
        foreach (self::files() as [$file]) {
            [$class, $names] = Circles::namesIn((string) file_get_contents($file));
            $uses[$class] = str_ends_with($class, 'Visitor') ? [] : $names;
        }
        self::assertSame([], Circles::in($uses));
        self::assertSame(
            [['a', 'b', 'c'], ['d', 'e']],
            Circles::in(['a' => ['b'], 'b' => ['c', 'f'], 'c' => ['a'], 'd' => ['e', 'a'], 'e' => ['d'], 'f' => []]),
        );
    }

    /** So that a new case, kind, family or status does not pass PHPStan before each place has said what it is there. */
    public function test_no_case_of_a_closed_set_is_left_open(): void
    {
        $open = [];
        foreach (['core/src', 'app'] as $root) {
            foreach (self::filesIn($root) as $name => [$file]) {
                foreach (ClosedSets::leftOpen((string) file_get_contents($file)) as $where) {
                    $open[] = "$name, $where";
                }
            }
        }
        self::assertSame([], $open);
    }

    public function test_what_leaves_a_case_open_is_found(): void
    {
        $source = <<<'PHP'
            <?php
            namespace Ordotype\Core\X;
            use Ordotype\Core\Standard\{Aim, Effect, EffectClause, Severity};
            final class A {
                private const GRAVE = [Severity::Critical, Severity::Major];
                private const NESTED = [[Effect::Shade, 1]];
                private const WORDS = ['quickest' => 1, 'best' => 2];
                private const OTHER = ['quickest' => 1, 'something' => 2];
                function a($s) { return match ($s) { Severity::Minor => 1, default => 2 }; }
                function b($c) { return $c instanceof EffectClause; }
                function c($c) { return match (true) { $c instanceof EffectClause => 1, default => 2 }; }
                function d($s) { return match (true) { $s === Severity::Minor => 1, default => 2 }; }
                function e($s) { return in_array($s, [Severity::Minor], true); }
                function f($s, $n) { return match (true) { $n > 3 => 1, $s === Severity::Minor => 2, default => 3 }; }
                function g($s) { return match ($s) { Aim::Best => 1, Aim::Quickest => 2 }; }
                function h($s) { switch ($s) { case 1: return 2; } }
                function i($o) { return $o instanceof self; }
            }
            PHP;
        self::assertSame(
            [
                'line 5: a constant list of cases',
                'line 6: a constant list of cases',
                'line 7: a constant list by the words of an enum',
                'line 9: a default beside cases',
                'line 10: asks for a kind',
                'line 11: asks for a kind',
                'line 11: a default beside cases',
                'line 12: a default beside cases',
                'line 13: a constant list of cases',
                'line 16: a switch',
            ],
            ClosedSets::leftOpen($source),
        );
    }

    public function test_the_check_finds_what_it_looks_for(): void
    {
        $source =
            '<?php namespace Ordotype\Core\X; use Illuminate\Support\Str; final class A { '.
            'function b(\Carbon\Carbon $c) { $t = time(); $r = \random_int(1, 2); $n = new '.
            '\DateTimeImmutable; echo 1; } }';
        self::assertSame(
            ['Illuminate\Support\Str', 'Carbon\Carbon', 'time()', 'random_int()', 'DateTimeImmutable', 'echo'],
            self::outside($source),
        );
    }

    /**
     * @param  list<string>  $lines
     * @return array<string, int> lines by method, as the code style lays them out; of what is one table over a closed
     * set, which cannot be cut in two, none
     */
    private static function methods(array $lines): array
    {
        $methods = [];
        $begin = $name = null;
        foreach ($lines as $no => $line) {
            if (preg_match('/^    (?:\w+ )*function (\w+)\(/', $line, $found) === 1) {
                [$begin, $name] = [$no, $found[1]];
            } elseif ($line === '    }' && $begin !== null) {
                $first = trim($lines[$begin + 2] ?? '');
                $isTable = preg_match('/^(return )?match \(\$\w+\) \{$/', $first) === 1 &&
                    in_array($lines[$no - 1], ['        };', '        }'], true);
                $methods[(string) $name] = $isTable ? 0 : $no - $begin + 1;
                $begin = null;
            }
        }

        return $methods;
    }

    /** @return list<string> what a source file of the core names that it must not */
    private static function outside(string $source): array
    {
        $found = [];
        $tokens = array_values(
            array_filter(
                token_get_all($source),
                fn ($t) => ! is_array($t) || ! in_array($t[0], [T_WHITESPACE, T_COMMENT, T_DOC_COMMENT], true),
            ),
        );
        foreach ($tokens as $i => $token) {
            if (! is_array($token)) {
                continue;
            }
            $before = $tokens[$i - 1] ?? null;
            $name = ltrim($token[1], '\\');
            if (
                in_array(
                    $token[0],
                    [T_ECHO, T_PRINT, T_INLINE_HTML, T_EXIT, T_EVAL, T_INCLUDE, T_REQUIRE, T_GLOBAL],
                    true,
                )
            ) {
                $found[] = $token[1];
            } elseif (in_array($token[0], [T_NAME_QUALIFIED, T_NAME_FULLY_QUALIFIED, T_STRING], true)) {
                $isCall =
                    ($tokens[$i + 1] ?? null) === '(' &&
                    ! (
                        is_array($before) &&
                        in_array(
                            $before[0],
                            [T_OBJECT_OPERATOR, T_NULLSAFE_OBJECT_OPERATOR, T_DOUBLE_COLON, T_FUNCTION, T_NEW],
                            true,
                        )
                    );
                $isClass =
                    (is_array($before) && in_array($before[0], [T_USE, T_NEW, T_EXTENDS, T_IMPLEMENTS], true)) ||
                    $token[0] === T_NAME_FULLY_QUALIFIED ||
                    str_contains($name, '\\');
                if ($isCall && preg_match(self::FORBIDDEN, $name) === 1) {
                    $found[] = "$name()";
                } elseif ($isClass && str_contains($name, '\\') && ! str_starts_with($name, 'Ordotype\\Core')) {
                    $found[] = $name;
                } elseif ($isClass && ! str_contains($name, '\\') && preg_match(self::CLASSES, $name) === 1) {
                    $found[] = $name;
                }
            } elseif (
                $token[0] === T_VARIABLE &&
                preg_match('/^\$(_GET|_POST|_SERVER|_ENV|_COOKIE|_FILES|_SESSION|GLOBALS)$/', $token[1]) === 1
            ) {
                $found[] = $token[1];
            }
        }

        return $found;
    }
}
