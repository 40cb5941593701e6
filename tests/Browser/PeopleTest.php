<?php

declare(strict_types=1);

namespace Tests\Browser;

/** Somebody is invited by a link, joins, and sees what the place has. */
final class PeopleTest extends BrowserTestCase
{
    public function testALinkBringsOneMorePerson(): void
    {
        $b = $this->browser;
        $this->lesson(['Ada', 'Bram'], 'dog-face');
        $b->visit('/account')->saying('Who plans and teaches at Room', 'h2');
        $b->fill('For whom', 'Rahel')->click('Invite', 'button');
        $link = (string) $b->find('.made input')->getAttribute('value');
        $b->saying('invited, until', 'small');

        // a reload does not show the link again; it can be withdrawn
        $b->visit('/account')->saying('invited, until', 'small');
        self::assertSame([], $this->all('.made input'));
        $b->click('Invite', 'button');
        $second = (string) $b->find('.made input')->getAttribute('value');
        self::assertNotSame($link, $second);
        $b->until(fn (): bool => count($this->all('.sheet li .link')) === 2, 'two are invited');
        $this->all('.sheet li .link')[1]->click();
        $b->until(fn (): bool => count($this->all('.sheet li .link')) === 1, 'one is left');

        // Rahel opens hers on a device of her own
        $b->driver->manage()->deleteAllCookies();
        $b->driver->get($link);
        $b->saying('Join Room', 'h1');
        $b->saying('Lead invites you', 'p');
        $b->click('Join', 'button')->saying('Enter your name', 'div');
        $mail = 'rahel'.bin2hex(random_bytes(3)).'@room.example';
        $b->fill('Your name', 'Rahel')->fill('E-mail', $mail)->fill('Password', 'short')->click('Join', 'button');
        $b->saying('at least 10 characters', 'div');
        $b->retype('input[type=password]', 'three plain words')->click('Join', 'button')->waitForPath('#^/$#');
        $b->saying('Dog face', '*'); // the next lesson of the place
        self::assertSame('Rahel', $this->api('/api/me')['name']);

        $b->driver->get($link);
        $b->saying('This invitation is no longer open', 'p');
    }
}
