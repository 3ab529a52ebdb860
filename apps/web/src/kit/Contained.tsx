import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { Component, type ErrorInfo, type ReactNode } from 'react';

interface ContainedProps {
  /** what it is, as the cook knows it: `The pit's alarms` */
  part: string;
  /** shows nothing when it breaks: for what is only heard */
  silent?: boolean;
  children: ReactNode;
}

/** A part of the screen that may break without taking the rest along. */
export class Contained extends Component<ContainedProps, { broken: boolean }> {
  override state = { broken: false };

  static getDerivedStateFromError() {
    return { broken: true };
  }

  override componentDidCatch(error: unknown, { componentStack }: ErrorInfo) {
    console.error(`${this.props.part} broke`, error, componentStack);
  }

  override render() {
    if (!this.state.broken) return this.props.children;
    if (this.props.silent) return null;
    return (
      <Alert
        severity="caution"
        variant="outlined"
        icon={false}
        action={
          <Button color="inherit" sx={{ minHeight: 44 }} onClick={() => this.setState({ broken: false })}>
            Try again
          </Button>
        }
      >
        <b>{this.props.part} broke.</b> The rest goes on, and nothing that was logged is lost.
      </Alert>
    );
  }
}
