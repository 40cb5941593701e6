<?php

declare(strict_types=1);

namespace App\Providers;

use App\Accounts\Quota;
use App\Bin\InTheBin;
use App\Bin\PutBack;
use App\Models\Group;
use App\Models\Lesson;
use App\Models\Stock;
use App\Models\User;
use App\Paper\PaperPlans;
use App\Shelf\ModelShelf;
use App\Support\LibraryFiles;
use App\Support\NamedDatabase;
use App\Teaching\RecordsOfReturned;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Resources\Json\JsonResource;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\ServiceProvider;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->singleton(ModelShelf::class);
        $this->app->singleton(PaperPlans::class);
        $this->app->bind('db.connector.mariadb', NamedDatabase::class);
        // Accounts are numbered by their database: tests beside a running application count for themselves.
        $this->app->when(Quota::class)->needs('$folder')->give(static fn (): string => storage_path(
            'framework/quota/'.hash('xxh32', (string) json_encode(config('database.connections.mariadb'))),
        ));
        $this->app->singleton(
            LibraryFiles::class,
            static fn (Application $app): LibraryFiles => new LibraryFiles(
                (string) config('cathedra.library'),
                $app->runningInConsole() ? null : $app->make(Repository::class),
            ),
        );
    }

    public function boot(): void
    {
        $this->bindOwnRecords();
        Event::listen(PutBack::class, RecordsOfReturned::class);
        Model::shouldBeStrict(! app()->isProduction());
        JsonResource::withoutWrapping();
    }

    /**
     * Route parameters are digits and find only what belongs to the organisation of whoever is signed in. What lies in
     * the bin is said to lie there.
     */
    private function bindOwnRecords(): void
    {
        foreach (['lesson', 'group', 'stock', 'learner', 'id'] as $parameter) {
            Route::pattern($parameter, '[0-9]{1,18}');
        }
        Route::pattern('model', '[a-z0-9-]{1,60}');
        foreach (
            ['group' => Group::class, 'stock' => Stock::class, 'lesson' => Lesson::class] as $parameter => $class
        ) {
            Route::bind($parameter, static function (string $id) use ($class): Model {
                $user = Auth::user();
                $organisation = $user instanceof User ? $user->organisation_id : throw new AuthenticationException();
                $found = $class::withTrashed()->where('organisation_id', $organisation)->findOrFail((int) $id);

                return $found->deleted_at === null ? $found : throw new InTheBin();
            });
        }
    }
}
