/** What an office needs, in one piece: nobody on their own machine loads it, and pages share fewer, larger pieces without it. */
export { AccountPage } from './AccountPage'
export { FirstPassword } from './FirstPassword'
export { OfficePage } from './OfficePage'
export { PersonMenu } from './PersonMenu'
export { SharingPill } from './SharingPill'
export { SignInPage } from './SignInPage'
