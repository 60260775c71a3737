<?php

declare(strict_types=1);

namespace Tests\Support;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Assert;
use stdClass;
use Symfony\Component\Yaml\Yaml;

/** Holds answers of the API against docs/openapi.yaml. */
final class Contract
{
    private static ?stdClass $document = null;

    public static function assertFits(string $method, string $path, int $status, string $body, string $type): void
    {
        $operation = self::operation(strtolower($method), (string) strtok($path, '?'));
        Assert::assertNotNull($operation, "docs/openapi.yaml does not know $method $path");
        $described = $operation->responses->{(string) $status} ?? null;
        if ($described === null) {
            Assert::assertGreaterThanOrEqual(
                400,
                $status,
                "$method $path answered $status, which the contract does not name: $body",
            );
            Assert::assertStringStartsWith('application/problem+json', $type);
            $described = self::referred($operation->responses->{'4XX'});
        }
        $content = isset($described->content) ? array_values(get_object_vars($described->content))[0] : null;
        if ($content === null) {
            Assert::assertSame('', trim($body, '{}'), "$method $path must answer with nothing");

            return;
        }
        foreach (['image/*' => 'image/', 'text/csv' => 'text/csv', 'application/pdf' => 'application/pdf', 'application/zip' => 'application/zip'] as $named => $start) {
            if (isset($described->content->{$named})) {
                Assert::assertStringStartsWith($start, $type);

                return;
            }
        }
        $schema = json_decode(
            str_replace(
                '#/components/schemas/',
                '#/$defs/',
                (string) json_encode($content->schema, JSON_UNESCAPED_SLASHES),
            ),
            false,
        );
        $schema->{'$defs'} = json_decode(
            str_replace(
                '#/components/schemas/',
                '#/$defs/',
                (string) json_encode(self::document()->components->schemas, JSON_UNESCAPED_SLASHES),
            ),
            false,
        );
        $validator = new Validator(null, 10);
        $error = $validator->validate(json_decode($body, false, 64, JSON_THROW_ON_ERROR), $schema)->error();
        Assert::assertTrue(
            $error === null,
            $error === null
                ? ''
                : "$method $path does not fit the contract: ".
                    json_encode(
                        (new ErrorFormatter())->formatKeyed($error),
                        JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES,
                    ),
        );
    }

    /** @return list<array{string, string}> every [method, path] of the contract */
    public static function operations(): array
    {
        $operations = [];
        foreach (get_object_vars(self::document()->paths) as $path => $methods) {
            foreach (array_keys(get_object_vars($methods)) as $method) {
                $operations[] = [strtoupper($method), $path];
            }
        }

        return $operations;
    }

    /** The schema of the body that an operation takes; null: none. */
    public static function bodyOf(string $method, string $path): ?stdClass
    {
        $operation = self::document()->paths->{$path}->{strtolower($method)};

        return $operation->requestBody->content->{'application/json'}->schema ?? null;
    }

    /** A part of the document, or what it refers to by its path in it. */
    private static function referred(stdClass $part): stdClass
    {
        $found = self::document();
        foreach (explode('/', substr($part->{'$ref'} ?? '', 2)) as $key) {
            $found = $found->{$key} ?? null;
        }

        return isset($part->{'$ref'}) ? $found : $part;
    }

    /** What a schema refers to, where it refers to one. */
    public static function resolved(stdClass $schema): stdClass
    {
        $reference = $schema->{'$ref'} ?? null;

        return is_string($reference)
            ? self::resolved(self::document()->components->schemas->{basename($reference)})
            : $schema;
    }

    private static function operation(string $method, string $path): ?stdClass
    {
        foreach (get_object_vars(self::document()->paths) as $template => $methods) {
            if (
                preg_match('#^'.preg_replace('/\{\w+\}/', '[^/]+', $template).'$#', $path) === 1 &&
                isset($methods->{$method})
            ) {
                return $methods->{$method};
            }
        }

        return null;
    }

    private static function document(): stdClass
    {
        return self::$document ??= json_decode(
            (string) json_encode(
                Yaml::parseFile(dirname(__DIR__, 2).'/docs/openapi.yaml', Yaml::PARSE_OBJECT_FOR_MAP),
            ),
            false,
        );
    }
}
