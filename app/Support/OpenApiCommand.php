<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Console\Command;
use OpenApi\Generator;

/** Prints the API document made from the attributes of app/; docs/api/openapi.json is its committed copy. */
final class OpenApiCommand extends Command
{
    protected $signature = 'cathedra:openapi';

    protected $description = 'Print the OpenAPI document of the HTTP API';

    public function handle(): int
    {
        $this->output->write(self::document(), false, 16);

        return self::SUCCESS;
    }

    public static function document(): string
    {
        $api = (new Generator)->setVersion('3.0.0')->generate([app_path()]);

        return ($api?->toJson() ?? throw new \LogicException('The attributes give no document.'))."\n";
    }
}
