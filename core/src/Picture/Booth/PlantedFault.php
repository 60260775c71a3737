<?php

declare(strict_types=1);

namespace Ordotype\Core\Picture\Booth;

/** A fault that is put into a drawing on purpose. */
final readonly class PlantedFault
{
    /**
     * @param  string  $key  of the fault table
     * @param  string  $area  key
     * @param  float|null  $size  mm; ΔE00 for colour_drift; null: as large as it usually is
     */
    public function __construct(public string $key, public string $area, public ?float $size = null)
    {
    }
}
