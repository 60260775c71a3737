<?php

declare(strict_types=1);

namespace App\Console;

use App\Models\Scheme;
use App\Models\Sculpt;
use App\Models\StandardVersion;
use App\Repositories\Standards;
use InvalidArgumentException;
use Ordotype\Core\Format\Json;
use Symfony\Component\Console\Output\OutputInterface;

final class ExportCommand extends CoreCommand
{
    protected $signature =
        'ordotype:export {what : standard, sculpt or scheme} {name? : version number of '.
        'the standard, or the short name of the figure or scheme}';

    protected $description = 'Print what the studio holds in its open format';

    public function __construct(private readonly Standards $standards)
    {
        parent::__construct();
    }

    protected function work(): int
    {
        [$what, $name] = [$this->argument('what'), $this->argument('name')];
        $document = match ($what) {
            'standard' => $this->standards->document($this->version(is_string($name) ? $name : null)),
            'sculpt' => Json::decode(
                Sculpt::query()->where('slug', $name)->first()->document ??
                    throw new InvalidArgumentException("There is no figure \"$name\"."),
            ),
            'scheme' => Json::decode(
                Scheme::query()->where('slug', $name)->first()->document ??
                    throw new InvalidArgumentException("There is no scheme \"$name\"."),
            ),
            default => throw new InvalidArgumentException('What is exported is one of standard, sculpt, scheme.'),
        };
        $this->output->write(Json::encode($document), false, OutputInterface::OUTPUT_RAW);

        return self::SUCCESS;
    }

    private function version(?string $number): StandardVersion
    {
        return $number === null
            ? $this->standards->published() ??
                    throw new InvalidArgumentException('No version of the standard is published yet.')
            : StandardVersion::query()->where('number', (int) $number)->first() ??
                    throw new InvalidArgumentException("There is no version $number of the standard.");
    }
}
